import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useReducer } from "react";
import { useNavigate } from "react-router";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { evaluationQuery, fittingQuery, meQuery } from "../../api/queries";
import type { FittingPage, Sheet } from "../../api/types";
import { useShortcut } from "../../app/useShortcut";
import { type Bench as BenchState, benchReducer, startBench } from "../../model/bench";
import { sameAids, sameMarks } from "../../model/sheet";
import { Muted } from "../../ui/Page";
import { CautionChips } from "../cautions/CautionLines";
import { Conflict } from "./Conflict";
import { Controls } from "./Controls";
import { Discard } from "./Discard";
import { ExerciseSwitch } from "./ExerciseSwitch";
import { FindingsBar } from "./FindingsBar";
import { Kept } from "./Kept";
import { ClientLink, FigureArea, Frame, Head, Push } from "./layout";
import { Picture } from "./Picture";
import { Steps } from "./Steps";
import { forgetUnsaved, unsavedSheet, useDraft } from "./useDraft";
import { Verdict } from "./Verdict";
import { WriteDown } from "./WriteDown";

export function Bench({ fitting }: { fitting: FittingPage }) {
  const { id, machine, client, advice } = fitting;
  const order = advice?.steps.map((step) => step.id) ?? machine.adjusters.map((adjuster) => adjuster.label);
  const [bench, dispatch] = useReducer(benchReducer, null, (): BenchState => {
    const begun = startBench(fitting, order[0] ?? null);
    const unsaved = unsavedSheet(fitting);
    return unsaved ? { ...begun, sheet: unsaved, saving: { kind: "saving" } } : begun;
  });
  useDraft(id, bench, fitting, dispatch);
  const me = useQuery(meQuery);
  const answer = useQuery(evaluationQuery(id, bench.sheet, fitting.evaluation));
  const evaluation = answer.data ?? fitting.evaluation;
  const accept = useAccept(fitting, bench.version);

  const active = bench.active;
  const adjuster = machine.adjusters.find(({ label }) => label === active)?.label;
  const step = (by: 1 | -1) =>
    adjuster && dispatch({ type: "step", adjusters: machine.adjusters, label: adjuster, by });
  useShortcut("ArrowLeft", () => step(-1));
  useShortcut("ArrowRight", () => step(1));
  useShortcut("]", () => dispatch({ type: "next", order }));
  useShortcut("[", () => dispatch({ type: "previous", order }));
  useShortcut("u", () => dispatch({ type: "undo" }));

  const asAdvised = advice
    ? sameMarks(advice.marks, bench.sheet.marks) && sameAids(advice.aids, bench.sheet.aids)
    : true;
  const busy = accept.isPending || bench.saving.kind === "saving" || bench.saving.kind === "conflict";

  return (
    <Frame>
      <Head>
        <h1>
          <ClientLink to={`/clients/${client.id}`}>{client.name}</ClientLink>
        </h1>
        <CautionChips cautions={fitting.cautions} />
        <Muted>{client.detail}</Muted>
        <Muted>
          {machine.name} · {machine.place}
        </Muted>
        <ExerciseSwitch fitting={fitting} busy={bench.saving.kind === "saving"} />
        <Push>
          <Kept saving={bench.saving} locale={me.data?.gym.locale ?? "en-GB"} />
        </Push>
      </Head>
      <Steps
        advice={advice}
        bench={bench}
        dispatch={dispatch}
        discard={<Discard id={id} clientId={client.id} version={bench.version} />}
      />
      <FigureArea aria-label="Side view">
        <Verdict fitting={fitting} evaluation={evaluation} asAdvised={asAdvised} dispatch={dispatch} />
        <Picture
          machine={machine}
          evaluation={evaluation}
          lensLabel={lensOf(active, order, Object.keys(evaluation.lens))}
        />
      </FigureArea>
      {active === null ? (
        <WriteDown id={id} machine={machine} sheet={bench.sheet} dispatch={dispatch} />
      ) : (
        <Controls fitting={fitting} bench={bench} evaluation={evaluation} dispatch={dispatch} />
      )}
      <FindingsBar
        evaluation={evaluation}
        writing={active === null}
        barred={fitting.bars.length > 0}
        busy={busy}
        problem={refusal(accept.error)?.message ?? null}
        nextTitle={advice?.steps[order.indexOf(active ?? "") + 1]?.title ?? null}
        onMove={(label, mark) => dispatch({ type: "set", label, mark })}
        onNext={() => dispatch({ type: "next", order })}
        onAccept={() => accept.mutate(bench.sheet)}
      />
      {bench.saving.kind === "conflict" ? (
        <Conflict machine={machine} mine={bench.sheet.marks} theirs={bench.saving.theirs} dispatch={dispatch} />
      ) : null}
    </Frame>
  );
}

/** The adjuster whose marks the lens shows: the one at hand if it moves the knee, else the first that does. */
function lensOf(active: string | null, order: readonly string[], moving: string[]): string | undefined {
  if (active && moving.includes(active)) return active;
  return order.find((label) => moving.includes(label)) ?? moving[0];
}

/** One key an accepted sheet, so that pressing twice, or a lost answer, records once. */
function useAccept(fitting: FittingPage, version: number) {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationKey: ["accept", fitting.id],
    mutationFn: (sheet: Sheet) =>
      unwrap(
        api.POST("/api/fittings/{id}/acceptance", {
          params: { path: { id: fitting.id }, header: acceptanceKey(fitting.id, version) },
          body: { ...sheet, version },
        }),
      ),
    retry: (count, thrown) => refusal(thrown)?.code === "unreached" && count < 5,
    retryDelay: 1500,
    onSuccess: async () => {
      forgetUnsaved(fitting.id);
      queryClient.removeQueries({ queryKey: fittingQuery(fitting.id).queryKey });
      await queryClient.invalidateQueries();
      await navigate(`/clients/${fitting.client.id}`);
    },
  });
}

const keys = new Map<string, ReturnType<typeof newKey>>();
function acceptanceKey(id: string, version: number) {
  const name = `${id} ${version}`;
  const key = keys.get(name) ?? newKey();
  keys.set(name, key);
  return key;
}
