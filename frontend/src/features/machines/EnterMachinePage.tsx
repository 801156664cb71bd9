// Entering a machine, and correcting one: the same form.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { keys } from "../../api/keys";
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
  useTitle(say("enterMachinePage.title"));
  const families = useQuery(familiesQuery);
  const [draft, setDraft, forget] = useKept<MachineDraft>("machine.entered", emptyMachine);
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const enter = useMutation({
    mutationFn: (body: ReturnType<typeof bodyOf>) =>
      unwrap(api.POST("/api/machines", { params: { header: newKey() }, body: { family: draft.family, ...body } })),
    onSuccess: async (page) => {
      forget();
      queryClient.setQueryData(machineQuery(page.machine.id).queryKey, page);
      await queryClient.invalidateQueries({ queryKey: keys.machines });
      await navigate(`/machines/${page.machine.id}/tape`);
    },
  });
  if (!families.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>{say("enterMachinePage.title")}</Title>
        <Muted>{say("enterMachinePage.hint")}</Muted>
      </PageHead>
      <MachineForm
        draft={draft}
        onChange={(next) => {
          if (enter.isError) enter.reset();
          setDraft(next);
        }}
        families={families.data}
        entering
        action={say("enterMachinePage.keepAndTape")}
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
  useTitle(
    page.data ? say("enterMachinePage.correctName", { name: page.data.machine.name }) : say("enterMachinePage.correct"),
  );
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message ?? say("enterMachinePage.failed")}</Notice>
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
      await queryClient.invalidateQueries({ queryKey: keys.machines });
      await navigate(`/machines/${id}`);
    },
  });
  if (!families.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>
          {say("enterMachinePage.correct")} {page.machine.name}
        </Title>
        <Muted>{say("enterMachinePage.changedHint")}</Muted>
      </PageHead>
      <MachineForm
        draft={draft}
        onChange={(next) => {
          if (correct.isError) correct.reset();
          setDraft(next);
        }}
        families={families.data}
        entering={false}
        action={say("enterMachinePage.keep")}
        back={`/machines/${id}`}
        busy={correct.isPending}
        thrown={correct.error}
        onSubmit={(typed, family) => correct.mutate(bodyOf(typed, family))}
      />
    </Page>
  );
}
