// What is written down besides the marks: what was seen by eye, the load as printed, signs, a note. Seeing the fit is what
// lets the body learn from it.
import type { Dispatch } from "react";
import { TextArea, TextField } from "react-aria-components";
import styled from "styled-components";
import type { MachineOnBench, Sheet } from "../../api/types";
import type { BenchEvent } from "../../model/bench";
import { Choice } from "../../ui/Choice";
import { Field, FieldHint, FieldLabel } from "../../ui/Field";
import { MarkRow, MarkTag } from "../../ui/MarkTag";
import { Tick } from "../../ui/Tick";
import { colour, radius, size, space } from "../../ui/tokens";
import { Signs } from "./Signs";

const Area = styled.section`
  grid-area: controls;
  border-left: 1px solid ${colour.line};
  padding: ${space(3)};
  display: grid;
  gap: ${space(4)};
  align-content: start;
  overflow-y: auto;
  position: relative;
`;
const Note = styled(TextArea)`
  width: 100%;
  min-height: 5rem;
  padding: ${space(2)} ${space(3)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  font: inherit;
  font-size: ${size.text};
  resize: vertical;
`;

/** A finger's width, by which an eye tells how far off a knee is. */
const FINGER_MM = 15;
const SEEN = [
  ["", "Not looked"],
  ["0", "On the dot"],
  [String(FINGER_MM), "A finger ahead"],
  [String(-FINGER_MM), "A finger behind"],
] as const;

type Props = { id: string; machine: MachineOnBench; sheet: Sheet; dispatch: Dispatch<BenchEvent> };

export function WriteDown({ id, machine, sheet, dispatch }: Props) {
  const write = (fields: Partial<Omit<Sheet, "marks" | "aids">>) => dispatch({ type: "write", fields });
  const seen = sheet.knee_off_mm === null ? "" : String(sheet.knee_off_mm);
  return (
    <Area aria-label="Write down">
      <MarkRow>
        {machine.adjusters.map((adjuster) => (
          <MarkTag key={adjuster.label} label={adjuster.name} mark={sheet.marks[adjuster.label] ?? "–"} />
        ))}
      </MarkRow>
      {machine.taped === "untaped" ? null : (
        <div>
          <Choice
            label="Knee, seen from the side"
            options={SEEN}
            value={SEEN.find(([value]) => value === seen)?.[0] ?? ""}
            onChange={(value) => write({ knee_off_mm: value === "" ? null : Number(value) })}
            stacked
          />
          <Tick isSelected={sheet.roller_seen} onChange={(roller_seen) => write({ roller_seen })}>
            Roller seen in place
          </Tick>
          <FieldHint>A fit that was seen teaches Verglas this body.</FieldHint>
        </div>
      )}
      <Field
        label="Load"
        hint="As printed, such as 25 kg or pin 4."
        value={sheet.load}
        maxLength={40}
        autoComplete="off"
        onChange={(load) => write({ load })}
      />
      <Signs id={id} machine={machine} sheet={sheet} dispatch={dispatch} />
      <TextField value={sheet.note} onChange={(note) => write({ note })} maxLength={1000}>
        <FieldLabel>Note</FieldLabel>
        <Note />
        <FieldHint slot="description">Why so, and what helped. Kept encrypted.</FieldHint>
      </TextField>
    </Area>
  );
}
