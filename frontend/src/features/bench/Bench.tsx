import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useReducer } from "react";
import { Link, useNavigate } from "react-router";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { evaluationQuery, fittingQuery, meQuery } from "../../api/queries";
import type { FittingPage } from "../../api/types";
import { useShortcut } from "../../app/useShortcut";
import { PivotLens } from "../../figure/PivotLens";
import { SideView } from "../../figure/SideView";
import { type Bench as BenchState, benchReducer, startBench } from "../../model/bench";
import { sameMarks } from "../../model/marks";
import { BandName } from "../../ui/Band";
import { QuietButton } from "../../ui/Button";
import { Muted, Strong } from "../../ui/Page";
import { Conflict } from "./Conflict";
import { Controls } from "./Controls";
import { Discard } from "./Discard";
import { describeLens, describeSide } from "./descriptions";
import { FindingsBar } from "./FindingsBar";
import { Kept } from "./Kept";
import { ClientLink, FigureArea, Frame, Head, Push, Verdict, VerdictLine } from "./layout";
import { Steps } from "./Steps";
import { forgetUnsaved, unsavedMarks, useDraft } from "./useDraft";

export function Bench({ fitting }: { fitting: FittingPage }) {
  const { id, machine, client } = fitting;
  const advice = fitting.advice;
  const order = advice?.steps.map((step) => step.adjuster) ?? machine.adjusters.map((adjuster) => adjuster.label);
  const [bench, dispatch] = useReducer(benchReducer, null, (): BenchState => {
    const begun = startBench(fitting, order[0] ?? null);
    const unsaved = unsavedMarks(fitting);
    return unsaved ? { ...begun, marks: unsaved, saving: { kind: "saving" } } : begun;
  });
  useDraft(id, bench, fitting, dispatch);
  const me = useQuery(meQuery);
  const answer = useQuery(evaluationQuery(id, bench.marks, fitting.evaluation));
  const evaluation = answer.data ?? fitting.evaluation;
  const accept = useAccept(fitting, bench.version);

  const active = bench.active;
  useShortcut("ArrowLeft", () => active && dispatch({ type: "step", machine, label: active, by: -1 }));
  useShortcut("ArrowRight", () => active && dispatch({ type: "step", machine, label: active, by: 1 }));
  useShortcut("]", () => dispatch({ type: "next", order }));
  useShortcut("[", () => dispatch({ type: "previous", order }));
  useShortcut("u", () => dispatch({ type: "undo" }));

  const lensLabel = lensOf(active, order, Object.keys(evaluation.lens));
  const places = lensLabel ? (evaluation.lens[lensLabel] ?? []) : [];
  const nameOf = (label: string) => machine.adjusters.find((adjuster) => adjuster.label === label)?.name ?? label;
  const asAdvised = advice ? sameMarks(advice.marks, bench.marks) : true;

  return (
    <Frame>
      <Head>
        <h1>
          <ClientLink to={`/clients/${client.id}`}>{client.name}</ClientLink>
        </h1>
        <Muted>{client.detail}</Muted>
        <Muted>
          {machine.name} · {machine.place}
        </Muted>
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
        <Verdict>
          <VerdictLine>
            {advice ? <Strong>{asAdvised ? advice.status_name : "Changed from the advised marks"}</Strong> : null}
            <BandName band={evaluation.grade} />
            {advice && !asAdvised ? (
              <QuietButton onPress={() => dispatch({ type: "setAll", marks: advice.marks })}>
                Back to the advised
              </QuietButton>
            ) : null}
            {asAdvised && advice?.next_reading ? (
              <Push>
                <Link to={`/clients/${client.id}/tape`}>Tape {advice.next_reading.title.toLowerCase()}</Link>: from ±
                {Math.round(advice.next_reading.before_mm)} to ±{Math.round(advice.next_reading.after_mm)} mm
              </Push>
            ) : null}
          </VerdictLine>
          {asAdvised ? advice?.shortfalls.map((shortfall) => <p key={shortfall.code}>{shortfall.says}</p>) : null}
        </Verdict>
        <SideView
          figure={evaluation.figure}
          findings={evaluation.findings}
          inLineMm={evaluation.joint.in_line_mm}
          description={describeSide(evaluation)}
          lens={
            lensLabel ? (
              <PivotLens
                joint={evaluation.joint}
                places={places}
                mark={evaluation.marks[lensLabel]}
                title={`Where each ${nameOf(lensLabel).toLowerCase()} mark puts the knee`}
                description={describeLens(evaluation, nameOf(lensLabel), places)}
              />
            ) : null
          }
        />
      </FigureArea>
      <Controls advice={advice} machine={machine} bench={bench} evaluation={evaluation} dispatch={dispatch} />
      <FindingsBar
        evaluation={evaluation}
        writing={active === null}
        busy={accept.isPending || bench.saving.kind === "saving" || bench.saving.kind === "conflict"}
        problem={refusal(accept.error)?.message ?? null}
        nextTitle={advice?.steps[order.indexOf(active ?? "") + 1]?.title ?? null}
        onMove={(label, mark) => dispatch({ type: "set", label, mark })}
        onNext={() => dispatch({ type: "next", order })}
        onAccept={() => accept.mutate(bench.marks)}
      />
      {bench.saving.kind === "conflict" ? (
        <Conflict machine={machine} mine={bench.marks} theirs={bench.saving.theirs} dispatch={dispatch} />
      ) : null}
    </Frame>
  );
}

/** The adjuster whose marks the lens shows: the one at hand if it moves the knee, else the first that does. */
function lensOf(active: string | null, order: readonly string[], moving: string[]): string | undefined {
  if (active && moving.includes(active)) return active;
  return order.find((label) => moving.includes(label)) ?? moving[0];
}

/** One key an accepted set of marks, so that pressing twice, or a lost answer, records once. */
function useAccept(fitting: FittingPage, version: number) {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationKey: ["accept", fitting.id],
    mutationFn: (marks: FittingPage["marks"]) =>
      unwrap(
        api.POST("/api/fittings/{id}/acceptance", {
          params: { path: { id: fitting.id }, header: acceptanceKey(fitting.id, version) },
          body: { marks, version },
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
