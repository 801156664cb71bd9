// The bench of somebody's hundredth day: on one page, what keeps the client safe on the left, marks, load and what is written on the right. The
// steps are folded away; cautions, belt, what was felt and the signs are not.
import type { Dispatch, ReactNode } from "react";
import styled from "styled-components";
import type { Evaluation, FittingPage } from "../../api/types";
import { say } from "../../lib/say";
import type { Bench, BenchEvent } from "../../model/bench";
import { breakpoint, colour, size, space } from "../../ui/tokens";
import { Controls } from "./controls/Controls";
import { LoadPanel } from "./loads/LoadPanel";
import { PanelTitle } from "./Panel";
import type { Hand } from "./SidePanel";
import { Again } from "./steps/Again";
import { Practise } from "./steps/Practise";
import { Secure } from "./steps/Secure";
import { Watch } from "./watching/Watch";
import { WriteDown } from "./writing/WriteDown";

/** A column in which panels stand below one another. */
const Column = styled.section<{ $area: "steps" | "controls" }>`
  grid-area: ${({ $area }) => $area};
  border-${({ $area }) => ($area === "steps" ? "right" : "left")}: 1px solid ${colour.line};
  overflow-y: auto;
  position: relative;
  > * {
    border-left: 0;
    overflow: visible;
  }
  > * + * {
    border-top: 1px solid ${colour.line};
  }
  @media ${breakpoint.phone} {
    border: 0;
  }
`;
const Before = styled.div`
  display: grid;
  gap: ${space(2)};
  padding: ${space(3)};
  font-size: ${size.small};
`;
const Foot = styled.div`
  display: flex;
  flex-wrap: wrap;
  padding: ${space(2)} ${space(3)};
`;

type SafeProps = {
  fitting: FittingPage;
  bench: Bench;
  evaluation: Evaluation;
  foot: ReactNode;
  dispatch: Dispatch<BenchEvent>;
};

export function Safe({ fitting, bench, evaluation, foot, dispatch }: SafeProps) {
  const props = { fitting, sheet: bench.sheet, dispatch };
  return (
    <Column $area="steps" aria-label={say("shortBench.safeAndSeen")} tabIndex={0} data-short-bench>
      <Kept fitting={fitting} stages={BEFORE} />
      <Practise fitting={fitting} />
      <Secure {...props} />
      <Kept fitting={fitting} stages={WORKING} />
      <Watch {...props} evaluation={evaluation} />
      <Foot>{foot}</Foot>
    </Column>
  );
}

/** Of the steps of these stages what is to be done and kept to: what keeps the client safe is not folded with them. */
function Kept({ fitting, stages }: { fitting: FittingPage; stages: readonly string[] }) {
  return fitting.steps
    .filter(({ stage, adjuster }) => adjuster === null && stages.includes(stage))
    .map((step) => (
      <Before key={step.id} data-kept={step.id}>
        <PanelTitle>{step.title}</PanelTitle>
        <p>{step.do}</p>
        {[...step.first, ...step.notes].map((sentence) => (
          <p key={sentence}>{sentence}</p>
        ))}
      </Before>
    ));
}

export function AtHand({ fitting, bench, active, evaluation, moved, pacer, dispatch }: Hand) {
  const order = fitting.steps.map((step) => step.id);
  const props = { fitting, sheet: bench.sheet, dispatch };
  return (
    <Column $area="controls" aria-label={say("shortBench.marksAndLoad")} tabIndex={0}>
      <Controls
        fitting={fitting}
        bench={bench}
        active={active}
        order={order}
        evaluation={evaluation}
        dispatch={dispatch}
      />
      {moved.length > 0 ? (
        <Before>
          <PanelTitle>{say("again.checkAgain")}</PanelTitle>
          <Again fitting={fitting} moved={moved} order={order} dispatch={dispatch} />
        </Before>
      ) : null}
      <LoadPanel {...props} quickens={evaluation.quickens ?? null} light={false} pacer={pacer} />
      <WriteDown {...props} evaluation={evaluation} short />
    </Column>
  );
}

/** Stages whose steps stand before anybody sits, and those of the sets. */
const BEFORE = ["before", "practise"];
const WORKING = ["light", "working"];
