// What is written down besides the marks: what was seen and felt, the load, a note; and where something is off, why it is
// accepted all the same.
import { say } from "../../../lib/say";
import { type Dispatch } from "react";
import { TextArea, TextField } from "react-aria-components";
import styled from "styled-components";
import type { Evaluation, FittingPage, Sheet } from "../../../api/types";
import { type BenchEvent } from "../../../model/bench";
import { QuietButton } from "../../../ui/Button";
import { Field, FieldHint, FieldLabel } from "../../../ui/Field";
import { MarkRow, MarkTag } from "../../../ui/MarkTag";
import { placedTags } from "../placedTags";
import { colour, radius, size, space } from "../../../ui/tokens";
import { Panel } from "../Panel";
import { seenText } from "../watching/KneeSeen";
import { told } from "../../../model/marks";

const Text = styled(TextArea)`
  width: 100%;
  min-height: 5rem;
  padding: ${space(2)} ${space(3)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  font: inherit;
  font-size: ${size.text};
  resize: vertical;
`;
const Summary = styled.ul`
  display: grid;
  gap: ${space(1)};
`;

const FELT = {
  worked: say("writeDown.feltMuscle"),
  joint: say("writeDown.feltJoint"),
  elsewhere: say("writeDown.feltElsewhere"),
};

type Props = {
  fitting: FittingPage;
  sheet: Sheet;
  evaluation: Evaluation;
  /** beside what it would sum up */
  short?: boolean;
  dispatch: Dispatch<BenchEvent>;
};

export function WriteDown({ fitting, sheet, evaluation, short = false, dispatch }: Props) {
  const { machine } = fitting;
  const write = (fields: Partial<Omit<Sheet, "marks" | "aids">>) => dispatch({ type: "write", fields });
  const off = evaluation.findings.filter((finding) => finding.severity >= 2 && !finding.by_hand);
  const wrong = off.map(({ title }) => title.toLowerCase()).join(", ");
  return (
    <Panel aria-label={say("writeDown.writeDown")}>
      {short ? null : <SummedUp fitting={fitting} sheet={sheet} evaluation={evaluation} dispatch={dispatch} />}
      {off.length > 0 ? (
        <TextField value={sheet.reason} onChange={(reason) => write({ reason })} maxLength={300} isRequired>
          <FieldLabel>
            {off.length > 1
              ? say("writeDown.whyThoughSeveral", { off: wrong })
              : say("writeDown.whyThough", { off: wrong })}
          </FieldLabel>
          <Text />
          <FieldHint slot="description">{say("writeDown.sealedHint")}</FieldHint>
        </TextField>
      ) : null}
      {machine.loaded ? null : (
        <Field
          label={say("writeDown.load")}
          hint={say("writeDown.loadHint")}
          value={sheet.load}
          maxLength={40}
          autoComplete="off"
          onChange={(load) => write({ load })}
        />
      )}
      <TextField value={sheet.note} onChange={(note) => write({ note })} maxLength={1000}>
        <FieldLabel>{say("writeDown.note")}</FieldLabel>
        <Text />
        <FieldHint slot="description">{say("writeDown.reasonHint")}</FieldHint>
      </TextField>
    </Panel>
  );
}

/** What was set, seen and lifted, before it is accepted. */
function SummedUp({ fitting, sheet, evaluation, dispatch }: Omit<Props, "short">) {
  const { machine } = fitting;
  const open = fitting.steps.filter(({ id }) => !sheet.flow.done[id] && sheet.flow.skipped[id] === undefined);
  const titles = machine.signs.filter(({ name }) => sheet.signs.includes(name)).map(({ title }) => title);
  return (
    <>
      <MarkRow>
        {machine.adjusters.map((adjuster) => (
          <MarkTag key={adjuster.label} label={adjuster.name} mark={told(adjuster, sheet.marks[adjuster.label])} />
        ))}
        {placedTags(evaluation.placed)}
      </MarkRow>
      <Summary>
        {evaluation.targets.length > 0 ? (
          <li>
            {say("writeDown.knee")} {seenText(sheet.knee_off_mm).toLowerCase()}
          </li>
        ) : null}
        {machine.loaded ? (
          <li>{sheet.load ? say("writeDown.loadLoad", { load: sheet.load }) : say("writeDown.noLoad")}</li>
        ) : null}
        {sheet.roller_seen ? <li>{say("writeDown.rollerTick")}</li> : null}
        {sheet.work.felt ? <li>{FELT[sheet.work.felt]}</li> : null}
        {sheet.cue ? (
          <li>
            {say("writeDown.whatHelped")} {sheet.cue}
          </li>
        ) : null}
        {sheet.signs.length > 0 ? (
          <li>
            {say("writeDown.signs")} {titles.join("; ").toLowerCase()}
          </li>
        ) : null}
        {open[0] ? (
          <li>
            {open.length === 1 ? say("writeDown.oneStep") : say("writeDown.countSteps", { count: open.length })}{" "}
            {say("writeDown.untaken")}{" "}
            <QuietButton onPress={() => dispatch({ type: "choose", id: open[0]?.id ?? "" })}>
              {say("writeDown.to")} {open[0].title.toLowerCase()}
            </QuietButton>
          </li>
        ) : null}
      </Summary>
    </>
  );
}
