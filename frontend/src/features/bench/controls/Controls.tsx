import { say } from "../../../lib/say";
import type { Dispatch } from "react";
import { Button } from "react-aria-components";
import styled from "styled-components";
import type { Adjuster, AdvisedAdjuster, Evaluation, FittingPage } from "../../../api/types";
import { neighbour, type Bench, type BenchEvent } from "../../../model/bench";
import { BandShape, SEVERITY_BANDS } from "../../../ui/Band";
import { StepButton } from "../../../ui/StepButton";
import { colour, font, radius, size, space, target } from "../../../ui/tokens";
import { AidChoices, offeredAids } from "./AidChoices";
import { Panel } from "../Panel";

const Card = styled.div<{ $active: boolean }>`
  display: grid;
  grid-template-columns: ${target.step} 1fr ${target.step};
  grid-template-rows: auto auto auto;
  gap: ${space(2)};
  align-items: center;
  padding: ${space(3)};
  border-radius: ${radius};
  border: 1px solid ${({ $active }) => ($active ? colour.action : colour.line)};
  box-shadow: ${({ $active }) => ($active ? `inset 0 0 0 1px ${colour.action}` : "none")};
  background: ${colour.panel};
`;
const Top = styled.div`
  grid-column: 1 / -1;
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: ${space(2)};
  h2 {
    font-size: ${size.text};
  }
`;
const Advised = styled.span`
  font-size: ${size.small};
  color: ${colour.inkMuted};
`;
const BackTo = styled(Button)`
  padding: ${space(1)} ${space(2)};
  margin: -${space(1)} -${space(2)};
  border: 0;
  border-radius: ${radius};
  background: ${colour.closeFill};
  color: ${colour.ink};
  font-size: ${size.small};
  font-weight: ${font.strong};
  cursor: pointer;
`;
const Mark = styled.output<{ $long: boolean }>`
  justify-self: center;
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${({ $long }) => ($long ? size.large : size.mark)};
  line-height: 1;
  letter-spacing: -0.1em;
`;
const Outcome = styled.span<{ $end?: boolean }>`
  display: flex;
  align-items: flex-start;
  gap: ${space(1)};
  justify-self: ${({ $end }) => ($end ? "end" : "start")};
  font-size: ${size.small};
  line-height: 1.2;
  svg {
    margin-top: 0.15em;
  }
`;
const Outcomes = styled.div`
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space(2)};
  min-height: 2.1rem;
`;

const Recorded = styled.span`
  grid-column: 1 / -1;
  font-size: ${size.small};
  color: ${colour.inkMuted};
`;

type Props = {
  fitting: FittingPage;
  bench: Bench;
  active: string;
  order: readonly string[];
  evaluation: Evaluation;
  dispatch: Dispatch<BenchEvent>;
};

/** A row of one height, so that every adjuster of a machine with many stands without scrolling. */
const Row = styled(Card)`
  grid-template-rows: auto;
  padding: ${space(1)} ${space(2)};
`;
const Middle = styled.div`
  display: grid;
  justify-items: center;
  line-height: 1.15;
  output {
    font-size: ${size.title};
  }
  h2 {
    font-size: ${size.small};
  }
`;

/** As many adjusters and cushions as stand large. */
const LARGE = 3;

/** One control an adjuster: the mark as printed, a step down and up and what either would do, the mark advised. */
export function Controls({ fitting, bench, active, order, evaluation, dispatch }: Props) {
  const { machine, advice, station } = fitting;
  const dense = machine.adjusters.length + offeredAids(machine).length > LARGE;
  return (
    <Panel aria-label={say("controls.adjusters")} $dense={dense}>
      {machine.adjusters.map(({ label, name }) => (
        <Control
          key={label}
          label={label}
          name={name}
          shared={station?.shared.includes(label) ?? false}
          adjusters={machine.adjusters}
          advised={advice?.adjusters.find((adjuster) => adjuster.label === label)}
          mark={bench.sheet.marks[label]}
          active={active === label}
          dense={dense && active !== label}
          order={order}
          steps={evaluation.steps[label]}
          dispatch={dispatch}
        />
      ))}
      <AidChoices machine={machine} aids={bench.sheet.aids} dispatch={dispatch} />
    </Panel>
  );
}

type ControlProps = {
  label: string;
  name: string;
  /** whether all exercises of a station have it in common */
  shared: boolean;
  adjusters: readonly Adjuster[];
  advised: AdvisedAdjuster | undefined;
  mark: string | undefined;
  active: boolean;
  /** a row of one height */
  dense: boolean;
  order: readonly string[];
  steps: Evaluation["steps"][string] | undefined;
  dispatch: Dispatch<BenchEvent>;
};

function Control(props: ControlProps) {
  const { label, name, shared, adjusters, advised, mark, active, dense, order, steps, dispatch } = props;
  const [down, up] = [neighbour(adjusters, label, mark, -1), neighbour(adjusters, label, mark, 1)];
  const advice = advised ? (
    <Advice advised={advised} mark={mark} onSet={(to) => dispatch({ type: "set", order, label, mark: to })} />
  ) : null;
  const long = (mark ?? "").length > 3;
  const figure = (
    <Mark aria-label={say("controls.nameMark", { name })} aria-live="polite" $long={long}>
      {mark}
    </Mark>
  );
  const less = (
    <StepButton
      aria-label={down ? say("controls.nameOneMarkDownTo", { name, down }) : say("controls.nameNoMarkBelow", { name })}
      isDisabled={down === null}
      onPress={() => dispatch({ type: "step", adjusters, order, label, by: -1 })}
    >
      −
    </StepButton>
  );
  const more = (
    <StepButton
      aria-label={up ? say("controls.nameOneMarkUpTo", { name, up }) : say("controls.nameNoMarkAbove", { name })}
      isDisabled={up === null}
      onPress={() => dispatch({ type: "step", adjusters, order, label, by: 1 })}
    >
      +
    </StepButton>
  );
  if (dense)
    return (
      <Row $active={active} role="group" aria-label={name} data-adjuster={label}>
        {less}
        <Middle>
          <h2>{name}</h2>
          {figure}
          {advised?.mark === mark ? <Advised>{say("controls.advised")}</Advised> : advice}
        </Middle>
        {more}
      </Row>
    );
  return (
    <Card $active={active} role="group" aria-label={name} data-adjuster={label}>
      <Top>
        <h2>{name}</h2>
        {advice}
      </Top>
      {shared ? <Recorded>{say("controls.oneSeatForEveryExercise")}</Recorded> : null}
      {less}
      {figure}
      {more}
      {advised?.mark === null ? (
        <Recorded>{say("controls.notTapedByEyeAnd")}</Recorded>
      ) : (
        <Outcomes>
          <StepOutcome step={steps?.down ?? null} none={say("controls.firstMark")} />
          <StepOutcome step={steps?.up ?? null} none={say("controls.lastMark")} end />
        </Outcomes>
      )}
    </Card>
  );
}

/** What one step would do: band of the whole, mark, and the number that this adjuster decides. */
function StepOutcome({
  step,
  none,
  end = false,
}: {
  step: Evaluation["steps"][string]["down"];
  none: string;
  end?: boolean;
}) {
  if (!step) return <Outcome $end={end}>{none}</Outcome>;
  return (
    <Outcome $end={end}>
      {step.severity === null ? null : <BandShape band={SEVERITY_BANDS[step.severity] ?? "off"} diameter={12} />}{" "}
      {step.mark}: {step.short}
    </Outcome>
  );
}

/** What a chance is called on the floor. */
const surely = (probability: number): string =>
  probability >= 0.8 ? say("controls.sure") : probability >= 0.5 ? say("controls.likely") : say("controls.perhaps");

type AdviceProps = { advised: AdvisedAdjuster; mark: string | undefined; onSet: (mark: string) => void };

function Advice({ advised, mark, onSet }: AdviceProps) {
  const to = advised.mark;
  if (to === null) return null;
  if (to !== mark)
    return (
      <BackTo onPress={() => onSet(to)}>
        {say("controls.advised")} {to}
      </BackTo>
    );
  return (
    <Advised>
      {advised.probability === null
        ? say("controls.advised")
        : say("controls.advisedSurely", { surely: surely(advised.probability) })}
    </Advised>
  );
}
