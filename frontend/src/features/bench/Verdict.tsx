// What is advised as a whole, above the drawing: how well it fits, what it needs (cushion, pad), what is short, what a station
// gave up for its shared seat, and which reading would make it surer.
import type { Dispatch } from "react";
import { Link } from "react-router";
import type { Evaluation, FittingPage } from "../../api/types";
import type { BenchEvent } from "../../model/bench";
import { BandName } from "../../ui/Band";
import { QuietButton } from "../../ui/Button";
import { Strong } from "../../ui/Page";
import { Push, VerdictArea, VerdictLine } from "./layout";

type Props = { fitting: FittingPage; evaluation: Evaluation; asAdvised: boolean; dispatch: Dispatch<BenchEvent> };

export function Verdict({ fitting, evaluation, asAdvised, dispatch }: Props) {
  const { advice, station, client } = fitting;
  if (!advice) return null;
  const told = [
    fitting.repaired ? "The machine's marks were changed since: those which no longer exist stand as advised." : null,
    fitting.machine.taped === "partly" ? "Taped in part: only what is taped is told." : null,
    station?.other ?? null,
    ...(asAdvised ? [...advice.aids_says, station?.gave_up ?? null, ...advice.shortfalls.map(({ says }) => says)] : []),
  ].filter((line) => line !== null);
  return (
    <VerdictArea>
      <VerdictLine>
        <Strong>{asAdvised ? advice.status_name : "Changed from the advised"}</Strong>
        {evaluation.grade ? <BandName band={evaluation.grade} /> : null}
        {asAdvised ? null : (
          <QuietButton onPress={() => dispatch({ type: "setAll", marks: advice.marks, aids: advice.aids })}>
            Back to the advised
          </QuietButton>
        )}
        {asAdvised && advice.next_reading ? (
          <Push>
            <Link to={`/clients/${client.id}/tape`}>Tape {advice.next_reading.title.toLowerCase()}</Link>: from ±
            {Math.round(advice.next_reading.before_mm)} to ±{Math.round(advice.next_reading.after_mm)} mm
          </Push>
        ) : null}
      </VerdictLine>
      {told.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </VerdictArea>
  );
}
