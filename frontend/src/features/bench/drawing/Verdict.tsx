// What is advised as a whole, above the drawing: how well it fits, what it needs (cushion, pad), what is short, what a station
// gave up for its shared seat, and which reading would make it surer.
import { say } from "../../../lib/say";
import type { Dispatch } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import type { Evaluation, FittingPage, Marks } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { BandName } from "../../../ui/Band";
import { QuietButton } from "../../../ui/Button";
import { Notice } from "../../../ui/Notice";
import { Strong } from "../../../ui/Page";
import { colour, size, space } from "../../../ui/tokens";
import { Push, VerdictArea, VerdictLine } from "../layout";

const RunnerUp = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${space(2)};
  color: ${colour.inkMuted};
  margin-top: -${space(2)};
  button {
    font-size: ${size.small};
  }
`;

/** Only what differs from the advised marks. */
const marksIn = ({ machine, advice }: FittingPage, marks: Marks): string =>
  machine.adjusters
    .filter(({ label }) => advice?.marks[label] !== undefined && advice.marks[label] !== marks[label])
    .map(({ name, label }) => `${name.toLowerCase()} ${marks[label]}`)
    .join(", ");

type Props = {
  fitting: FittingPage;
  evaluation: Evaluation;
  /** signs with which nothing is accepted, as they are called */
  seenNever: readonly string[];
  asAdvised: boolean;
  dispatch: Dispatch<BenchEvent>;
};

export function Verdict({ fitting, evaluation, seenNever, asAdvised, dispatch }: Props) {
  const { advice, station, client } = fitting;
  if (!advice) return null;
  // Barred is said first, and nothing green beside it.
  if (fitting.bars.length > 0)
    return (
      <VerdictArea>
        {fitting.bars.map((bar) => (
          <Notice key={bar} tone="wrong">
            <Strong>{say("verdict.barred")}</Strong> {bar}
          </Notice>
        ))}
        <p>
          <Link to={`/clients/${client.id}`}>{say("verdict.otherMachine")}</Link>
          {say("verdict.viewOnly")}
        </p>
      </VerdictArea>
    );
  const told = [
    fitting.repaired ? say("verdict.changedMarks") : null,
    fitting.since,
    fitting.narrowed,
    fitting.machine.taped === "partly" ? say("verdict.partTaped") : null,
    station?.other ?? null,
    evaluation.scene?.plate?.closed ?? null,
    advice.instead?.[0]?.says ?? null,
    ...(asAdvised ? [...advice.aids_says, station?.gave_up ?? null, ...advice.shortfalls.map(({ says }) => says)] : []),
  ].filter((line) => line !== null);
  return (
    <VerdictArea>
      {seenNever.map((title) => (
        <Notice key={title} tone="wrong">
          <Strong>{title}.</Strong> {say("verdict.signBars")}
        </Notice>
      ))}
      <VerdictLine>
        <Strong>{asAdvised ? advice.status_name : say("verdict.changedTitle")}</Strong>
        {evaluation.grade && seenNever.length === 0 ? (
          <BandName band={evaluation.grade} likely={evaluation.likely ?? false} />
        ) : null}
        {asAdvised ? null : (
          <QuietButton onPress={() => dispatch({ type: "setAll", marks: advice.marks, aids: advice.aids })}>
            {say("verdict.restoreAdvised")}
          </QuietButton>
        )}
        {asAdvised && advice.next_reading ? (
          <Push>
            <Link to={`/clients/${client.id}/tape`}>
              {say("verdict.tape")} {advice.next_reading.title.toLowerCase()}
            </Link>
            {say("verdict.from")}
            {Math.round(advice.next_reading.before_mm)} {say("verdict.to")}
            {Math.round(advice.next_reading.after_mm)} {say("verdict.mm")}
          </Push>
        ) : null}
      </VerdictLine>
      {told.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {asAdvised && advice.runner_up && advice.runner_up.grade !== "fault" ? (
        <RunnerUp>
          {say("verdict.nextBest")} {marksIn(fitting, advice.runner_up.marks)}{" "}
          <BandName band={advice.runner_up.grade} />
          <QuietButton
            onPress={() => dispatch({ type: "setAll", marks: advice.runner_up?.marks ?? {}, aids: advice.aids })}
          >
            {say("verdict.tryIt")}
          </QuietButton>
        </RunnerUp>
      ) : null}
    </VerdictArea>
  );
}
