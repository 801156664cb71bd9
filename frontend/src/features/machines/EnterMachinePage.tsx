// Entering a machine, and correcting one: the same form.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { familiesQuery, machineQuery } from "../../api/queries";
import type { MachinePage } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { bodyOf, draftOf, emptyMachine, type MachineDraft } from "../../model/machineDraft";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { useKept } from "../../ui/useKept";
import { MachineForm } from "./MachineForm";

export function EnterMachinePage() {
  useTitle("Enter a machine");
  const families = useQuery(familiesQuery);
  const [draft, setDraft, forget] = useKept<MachineDraft>("machine.new", emptyMachine);
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const enter = useMutation({
    mutationFn: (body: ReturnType<typeof bodyOf>) =>
      unwrap(api.POST("/api/machines", { params: { header: newKey() }, body: { family: draft.family, ...body } })),
    onSuccess: async (page) => {
      forget();
      queryClient.setQueryData(machineQuery(page.machine.id).queryKey, page);
      await queryClient.invalidateQueries({ queryKey: ["machines"] });
      await navigate(`/machines/${page.machine.id}/tape`);
    },
  });
  if (!families.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>Enter a machine</Title>
        <Muted>marks exactly as printed; the tape comes next</Muted>
      </PageHead>
      <MachineForm
        draft={draft}
        onChange={setDraft}
        families={families.data}
        entering
        action="Keep, then tape it"
        back="/machines"
        busy={enter.isPending}
        thrown={enter.error}
        onSubmit={(typed, family) => enter.mutate(bodyOf(typed, family))}
      />
    </Page>
  );
}

export function CorrectMachinePage() {
  const { id = "" } = useParams();
  const page = useQuery({ ...machineQuery(id), refetchOnWindowFocus: false });
  useTitle(page.data ? `Correct ${page.data.machine.name}` : "Correct");
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message ?? "This machine could not be opened."}</Notice>
      </Page>
    );
  return page.data ? <Correct key={`${id} ${page.data.version}`} id={id} page={page.data} /> : null;
}

function Correct({ id, page }: { id: string; page: MachinePage }) {
  const families = useQuery(familiesQuery);
  const [draft, setDraft] = useState(() => draftOf(page));
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const correct = useMutation({
    mutationFn: (body: ReturnType<typeof bodyOf>) =>
      unwrap(
        api.PATCH("/api/machines/{id}", {
          params: { path: { id }, header: newKey() },
          body: { version: page.version, ...body },
        }),
      ),
    onSuccess: async (changed) => {
      queryClient.setQueryData(machineQuery(id).queryKey, changed);
      await queryClient.invalidateQueries({ queryKey: ["machines"] });
      await navigate(`/machines/${id}`);
    },
  });
  if (!families.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>Correct {page.machine.name}</Title>
        <Muted>an adjuster whose marks change is taped anew; accepted fittings stay as they were</Muted>
      </PageHead>
      <MachineForm
        draft={draft}
        onChange={setDraft}
        families={families.data}
        entering={false}
        action="Keep"
        back={`/machines/${id}`}
        busy={correct.isPending}
        thrown={correct.error}
        onSubmit={(typed, family) => correct.mutate(bodyOf(typed, family))}
      />
    </Page>
  );
}
