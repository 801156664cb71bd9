// What the step at hand is done with: adjusters, what to check again, belt and pins, loads, watching, or writing down.
import { say } from "../../lib/say";
import type { Dispatch } from "react";
import type { Evaluation, FittingPage } from "../../api/types";
import type { Bench, BenchEvent } from "../../model/bench";
import { WRITE } from "../../model/sheet";
import { part } from "../../ui/part";
import { Again, type Moved } from "./steps/Again";
import { Controls } from "./controls/Controls";
import type { PacerState } from "./loads/Pacer";
import { Panel } from "./Panel";
import { Practise } from "./steps/Practise";
import { Secure } from "./steps/Secure";

const LoadPanel = part(() => import("./loads/LoadPanel").then(({ LoadPanel }) => LoadPanel));
const Watch = part(() => import("./watching/Watch").then(({ Watch }) => Watch));
const WriteDown = part(() => import("./writing/WriteDown").then(({ WriteDown }) => WriteDown));

/** What is at hand at the bench. */
export type Hand = {
  fitting: FittingPage;
  bench: Bench;
  active: string;
  evaluation: Evaluation;
  moved: Moved[];
  pacer: PacerState;
  dispatch: Dispatch<BenchEvent>;
};

export function SidePanel({ fitting, bench, active, evaluation, moved, pacer, dispatch }: Hand) {
  const order = fitting.steps.map((step) => step.id);
  switch (active) {
    case "@again":
      return (
        <Panel aria-label={say("sidePanel.title")} tabIndex={0}>
          <Again fitting={fitting} moved={moved} order={order} dispatch={dispatch} />
        </Panel>
      );
    case "@practise":
      return <Practise fitting={fitting} />;
    case "@secure":
      return <Secure fitting={fitting} sheet={bench.sheet} dispatch={dispatch} />;
    case "@light":
    case "@working":
      return (
        <LoadPanel
          fitting={fitting}
          sheet={bench.sheet}
          quickens={evaluation.quickens ?? null}
          light={active === "@light"}
          pacer={pacer}
          dispatch={dispatch}
        />
      );
    case "@watch":
      return <Watch fitting={fitting} sheet={bench.sheet} evaluation={evaluation} dispatch={dispatch} />;
    case WRITE:
      return <WriteDown fitting={fitting} sheet={bench.sheet} evaluation={evaluation} dispatch={dispatch} />;
    default:
      return (
        <Controls
          fitting={fitting}
          bench={bench}
          active={active}
          order={order}
          evaluation={evaluation}
          dispatch={dispatch}
        />
      );
  }
}
