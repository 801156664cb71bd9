import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { type ReactNode, useReducer, Suspense } from "react";
import { refusal } from "../../api/client";
import { againQuery, evaluationQuery } from "../../api/queries";
import type { FittingPage, Staff } from "../../api/types";
import { useMay } from "../shared/useMay";
import { useShortcut } from "../../ui/useShortcut";
import { activeStep, type Bench as BenchState, benchReducer, startBench } from "../../model/bench";
import { sameAids, sameMarks } from "../../lib/same";
import { WRITE } from "../../model/sheet";
import { QuietButton } from "../../ui/Button";
import { Muted } from "../../ui/Page";
import { CautionChips } from "../shared/CautionLines";
import { Conflict } from "./draft/Conflict";
import { Discard } from "./draft/Discard";
import { DoneFor } from "./DoneFor";
import { ExerciseSwitch } from "./ExerciseSwitch";
import { Found } from "./drawing/Found";
import { FindingsBar } from "./drawing/FindingsBar";
import { Kept } from "./draft/Kept";
import { ClientLink, FigureArea, Frame, Head, Push } from "./layout";
import { Pacer, usePacer } from "./loads/Pacer";
import { Picture } from "./drawing/Picture";
import { SidePanel } from "./SidePanel";
import { part } from "../../ui/part";
import { useShortBench } from "./useShortBench";
import { Steps } from "./steps/Steps";
import { Stop } from "./draft/Stop";
import { useAccept } from "./draft/useAccept";
import { unsavedSheet, useDraft } from "./draft/useDraft";
import { Verdict } from "./drawing/Verdict";

const AtHand = part(() => import("./ShortBench").then(({ AtHand }) => AtHand));
const Safe = part(() => import("./ShortBench").then(({ Safe }) => Safe));

export function Bench({ fitting, me }: { fitting: FittingPage; me: Staff }) {
  const { id, machine, client, advice } = fitting;
  const order = fitting.steps.map((step) => step.id);
  const draft = { fitting: id, staff: me.id };
  const [bench, dispatch] = useReducer(benchReducer, null, (): BenchState => {
    const unsaved = unsavedSheet(fitting, me.id);
    return unsaved ? { ...startBench(fitting, unsaved), saving: { kind: "saving" } } : startBench(fitting);
  });
  useDraft(draft, bench, fitting, dispatch);
  const answer = useQuery(evaluationQuery(id, bench.sheet, fitting));
  const evaluation = answer.data ?? fitting.evaluation;
  const again = useQuery(againQuery(id, bench.sheet));
  const moved = again.data && again.isEnabled ? again.data.moved : [];
  const accept = useAccept(fitting, bench, draft);
  const pacer = usePacer();
  const short = useShortBench(me);
  const may = useMay();

  const active = activeStep(bench, order);
  const ranging =
    (evaluation.placed ?? []).some(({ name }) => active === `@${name}`) ||
    fitting.steps.find(({ id: step }) => step === active)?.stage === RANGE;
  const adjuster = machine.adjusters.find(({ label }) => label === active)?.label;
  const step = (by: 1 | -1) =>
    adjuster && dispatch({ type: "step", adjusters: machine.adjusters, order, label: adjuster, by });
  useShortcut("ArrowLeft", () => step(-1));
  useShortcut("ArrowRight", () => step(1));
  useShortcut("]", () => dispatch({ type: "next", order }));
  useShortcut("[", () => dispatch({ type: "previous", order }));
  useShortcut("u", () => dispatch({ type: "undo" }));

  const asAdvised = advice
    ? sameMarks(advice.marks, bench.sheet.marks) && sameAids(advice.aids, bench.sheet.aids)
    : true;
  // Seen beats computed: nothing looks right beside it.
  const seenNever = machine.signs.filter(({ name, never }) => never && bench.sheet.signs.includes(name));
  const busy = accept.busy || bench.saving.kind === "conflict";

  const discard: ReactNode = <Discard draft={draft} clientId={client.id} version={bench.version} />;
  const hand = { fitting, bench, active, evaluation, moved, pacer, dispatch };

  return (
    <Frame $short={short.chosen}>
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
        <DoneFor fitting={fitting} busy={bench.saving.kind === "saving"} />
        <Push>
          <QuietButton onPress={short.toggle}>
            {short.chosen ? say("shortBench.withSteps") : say("shortBench.onePage")}
          </QuietButton>
          <Kept saving={bench.saving} locale={me.gym.locale} />
          <Stop fitting={fitting} bench={bench} draft={draft} />
        </Push>
      </Head>
      {short.chosen ? (
        <Suspense fallback={null}>
          <Safe fitting={fitting} bench={bench} evaluation={evaluation} foot={discard} dispatch={dispatch} />
        </Suspense>
      ) : (
        <Steps fitting={fitting} bench={bench} active={active} moved={moved} dispatch={dispatch} discard={discard} />
      )}
      <FigureArea aria-label={say("bench.sideView")}>
        {pacer.running ? (
          <Pacer pacer={pacer} />
        ) : (
          <>
            <Verdict
              fitting={fitting}
              evaluation={evaluation}
              seenNever={seenNever.map(({ title }) => title)}
              asAdvised={asAdvised}
              dispatch={dispatch}
            />
            <Picture
              machine={machine}
              evaluation={evaluation}
              lensLabel={lensOf(active, order, Object.keys(evaluation.targets[0]?.places ?? {}))}
              seenOffMm={bench.sheet.knee_off_mm}
              found={(share) => (ranging ? <Found fitting={fitting} sheet={bench.sheet} share={share} /> : null)}
              onPlace={(name, mm) => dispatch({ type: "aid", name, mm })}
            />
          </>
        )}
      </FigureArea>
      <Suspense fallback={null}>{short.chosen ? <AtHand {...hand} /> : <SidePanel {...hand} />}</Suspense>
      <FindingsBar
        evaluation={evaluation}
        writing={short.chosen || active === WRITE}
        barred={fitting.bars.length > 0}
        unjudged={seenNever.length > 0}
        clientId={client.id}
        busy={busy}
        problem={refusal(accept.error)?.message ?? null}
        nextTitle={fitting.steps[order.indexOf(active) + 1]?.title ?? null}
        onMove={(label, mark) => dispatch({ type: "set", order, label, mark })}
        onNext={() => dispatch({ type: "next", order })}
        onAccept={may("acceptFitting") ? accept.press : null}
      />
      {bench.saving.kind === "conflict" ? (
        <Conflict machine={machine} mine={bench.sheet} theirs={bench.saving.theirs} dispatch={dispatch} />
      ) : null}
    </Frame>
  );
}

/** The stage at which the client's own range is looked at. */
const RANGE = "range";

/** The adjuster whose marks the lens shows: the one at hand if it moves the knee, else the first that does. */
function lensOf(active: string, order: readonly string[], moving: string[]): string | undefined {
  if (moving.includes(active)) return active;
  return order.find((label) => moving.includes(label)) ?? moving[0];
}
