// Watching: where the fit was seen, where it is felt, the cue that helped, a creep test, the signs.
import { say } from "../../../lib/say";
import type { Dispatch } from "react";
import type { Evaluation, FittingPage, Sheet } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { Choice } from "../../../ui/Choice";
import { Field } from "../../../ui/Field";
import { CreepTest } from "./CreepTest";
import { ReadOnBench } from "./ReadOnBench";
import { KneeSeen } from "./KneeSeen";
import { Panel } from "../Panel";
import { Signs } from "./Signs";

const FELT = [
  ["worked", say("watch.muscleOption")],
  ["joint", say("watch.jointOption")],
  ["elsewhere", say("watch.elsewhere")],
] as const;

type Props = { fitting: FittingPage; sheet: Sheet; evaluation: Evaluation; dispatch: Dispatch<BenchEvent> };

export function Watch({ fitting, sheet, evaluation, dispatch }: Props) {
  const write = (fields: Partial<Omit<Sheet, "marks" | "aids">>) => dispatch({ type: "write", fields });
  return (
    <Panel aria-label={say("watch.watch")}>
      {evaluation.targets.length > 0 ? <KneeSeen sheet={sheet} onChange={write} /> : null}
      <Choice
        label={say("watch.feltLabel")}
        options={FELT}
        value={sheet.work.felt ?? ("" as "worked")}
        onChange={(felt) => write({ work: { ...sheet.work, felt } })}
        stacked
      />
      {sheet.work.felt === "joint" ? <p role="status">{say("watch.painHint")}</p> : null}
      <Field
        label={say("watch.cueLabel")}
        hint={say("watch.sealedHint")}
        value={sheet.cue}
        maxLength={200}
        autoComplete="off"
        onChange={(cue) => write({ cue })}
      />
      {evaluation.targets.length > 0 && fitting.creep_angles.length > 0 ? (
        <CreepTest fitting={fitting} sheet={sheet} dispatch={dispatch} />
      ) : null}
      {evaluation.read_on ? <ReadOnBench fitting={fitting} sheet={sheet} onChange={write} /> : null}
      <Signs fitting={fitting} sheet={sheet} dispatch={dispatch} />
    </Panel>
  );
}
