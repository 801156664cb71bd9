import { say } from "../../../lib/say";
import { type Dispatch, type ReactNode, useState } from "react";
import styled from "styled-components";
import type { BenchStep, FittingPage } from "../../../api/types";
import type { Bench, BenchEvent } from "../../../model/bench";
import { WRITE } from "../../../model/sheet";
import { QuietButton } from "../../../ui/Button";
import { breakpoint, colour, space } from "../../../ui/tokens";
import type { Moved } from "./Again";
import { Skip } from "./Skip";
import { Aside, Dot, Head, type State, Step } from "./Step";

const Area = styled.section`
  grid-area: steps;
  border-right: 1px solid ${colour.line};
  overflow-y: auto;
  position: relative;
  padding: ${space(2)} 0;
  display: flex;
  flex-direction: column;
  @media ${breakpoint.phone} {
    order: 4;
    border-right: 0;
  }
`;
const Foot = styled.div`
  margin-top: auto;
  padding: ${space(2)} ${space(3)} 0;
  display: flex;
  flex-wrap: wrap;
`;

const WRITING: BenchStep = {
  id: WRITE,
  stage: "write",
  adjuster: null,
  title: say("steps.writeDown"),
  do: say("steps.acceptHint"),
  look: say("steps.marksHint"),
  right: say("steps.symmetryHint"),
  first: [],
  notes: [],
};

type Props = {
  fitting: FittingPage;
  bench: Bench;
  active: string;
  moved: Moved[];
  dispatch: Dispatch<BenchEvent>;
  discard: ReactNode;
};

/** The steps in the order in which a fitting is done; the one at hand says what to do, where to look, what is right. */
export function Steps({ fitting, bench, active, moved, dispatch, discard }: Props) {
  const { steps, advice } = fitting;
  const { flow } = bench.sheet;
  const [unfolded, setUnfolded] = useState(false);
  const [more, setMore] = useState(false);
  const order = steps.map((step) => step.id);
  const stateOf = (id: string): State =>
    id === active ? "active" : flow.done[id] ? "done" : flow.skipped[id] !== undefined ? "skipped" : "open";
  const behind = steps.slice(0, Math.max(order.indexOf(active), active === WRITE ? steps.length : 0));
  const folded = !unfolded && behind.length > 1 && behind.every((step) => stateOf(step.id) !== "open");
  const shown = [...(folded ? steps.slice(behind.length) : steps), WRITING];
  return (
    <Area aria-label={say("steps.steps")}>
      {behind.length > 1 && behind.every((step) => stateOf(step.id) !== "open") ? (
        <Head onPress={() => setUnfolded(folded)} aria-expanded={!folded}>
          <Dot $state="done" />
          {behind.length} {say("steps.behind")}
          <Aside $warn={moved.length > 0}>{folded ? say("steps.show") : say("steps.fold")}</Aside>
        </Head>
      ) : null}
      <ol>
        {shown.map((step) => (
          <Step
            key={step.id}
            step={step}
            state={stateOf(step.id)}
            skipped={flow.skipped[step.id]}
            disturbed={moved.some((one) => one.step === step.id)}
            sure={advice?.adjusters.find((adjuster) => adjuster.label === step.adjuster) ?? null}
            more={more}
            onMore={() => setMore(!more)}
            onChoose={() => dispatch({ type: "choose", id: step.id })}
          />
        ))}
      </ol>
      <Foot>
        <QuietButton onPress={() => dispatch({ type: "undo" })} isDisabled={bench.past.length === 0}>
          {say("steps.undo")}
        </QuietButton>
        {active === WRITE ? null : <Skip onSkip={(reason) => dispatch({ type: "skip", order, reason })} />}
        {discard}
      </Foot>
    </Area>
  );
}
