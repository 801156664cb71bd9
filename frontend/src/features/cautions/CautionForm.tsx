// One caution: what, which side, since when, who cleared it with which degrees, a note. It never diagnoses.
import { say } from "../../lib/say";
import { useState } from "react";
import { Form, TextArea, TextField } from "react-aria-components";
import styled from "styled-components";
import { complaintAt, refusal } from "../../api/client";
import type { Caution, Cautions } from "../../api/types";
import { parseNumber } from "../../lib/lengths";
import { PrimaryButton, QuietButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { DateEntry } from "../../ui/DateEntry";
import { Field, FieldHint, FieldLabel } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { DegreesFields, type Degrees, degreesOf, type Span } from "./DegreesFields";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
`;
const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space(4)};
  align-items: start;
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Note = styled(TextArea)`
  width: 100%;
  min-height: 4rem;
  padding: ${space(2)} ${space(3)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  font: inherit;
  resize: vertical;
`;

const SIDES = [
  ["left", say("cautionForm.left")],
  ["right", say("cautionForm.right")],
  ["both", say("cautionForm.both")],
] as const;

export type CautionFields = {
  side: "" | "left" | "right" | "both";
  since: string | null;
  cleared_by: string;
  cleared_on: string | null;
  joint: "" | "knee" | "hip" | "ankle" | "back";
  degrees: Degrees;
  named: string[];
  load_to_kg: number | null;
  note: string;
};

type Props = {
  caution: Caution | null;
  kinds: Cautions["kinds"];
  motions: Cautions["motions"];
  busy: boolean;
  thrown: unknown;
  onKeep: (name: string, version: number | null, fields: CautionFields) => void;
  onMistaken: () => void;
};

const number = (text: string): number | null => (text.trim() === "" ? null : parseNumber(text));
/** Of either end of a joint. */
const degreesComplaint = (thrown: unknown, motion: string) =>
  ["", "/from", "/to"].map((end) => complaintAt(thrown, `/degrees/${motion}${end}`)).find((one) => one !== undefined);

const PATHS = ["/cleared_by", "/cleared_on", "/since", "/load_to_kg"];

export function CautionForm({ caution, kinds, motions, busy, thrown, onKeep, onMistaken }: Props) {
  const [name, setName] = useState<string>(caution?.name ?? kinds[0]?.name ?? "");
  const [side, setSide] = useState<CautionFields["side"]>((caution?.side as CautionFields["side"]) ?? "");
  const [joint, setJoint] = useState<CautionFields["joint"]>((caution?.joint as CautionFields["joint"]) ?? "");
  const [named, setNamed] = useState<readonly string[]>((caution?.named ?? []).map(({ family }) => family));
  const [since, setSince] = useState(caution?.since ?? null);
  const [clearedBy, setClearedBy] = useState(caution?.cleared_by ?? "");
  const [clearedOn, setClearedOn] = useState(caution?.cleared_on ?? null);
  const [spans, setSpans] = useState<Span[]>(
    (caution?.degrees ?? []).map(({ motion, from, to }) => ({
      motion,
      from: from?.toString() ?? "",
      to: to?.toString() ?? "",
    })),
  );
  const [load, setLoad] = useState(caution?.load_to_kg?.toString() ?? "");
  const [note, setNote] = useState(caution?.note ?? "");
  const [problem, setProblem] = useState<string>();
  const kind = kinds.find((one) => one.name === name);
  const error = refusal(thrown);
  const shown = spans.length > 0 ? spans : [{ motion: kind?.motion ?? motions[0]?.name ?? "", from: "", to: "" }];
  const submit = () => {
    const degrees = degreesOf(shown);
    const wrong = degrees === null || (load.trim() !== "" && parseNumber(load) === null);
    setProblem(wrong ? say("cautionForm.numbersOrNothing") : undefined);
    if (wrong) return;
    onKeep(name, caution?.version ?? null, {
      side: kind?.sided ? side : "",
      since,
      cleared_by: clearedBy,
      cleared_on: clearedOn,
      joint: kind?.joints.length ? joint : "",
      degrees,
      named: named.filter((family) => kind?.named.some((one) => one.family === family)),
      load_to_kg: number(load),
      note,
    });
  };
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      {error && !PATHS.includes(error.path) && !error.path.startsWith("/degrees/") ? (
        <Notice tone="wrong">{error.message}</Notice>
      ) : null}
      {caution ? (
        <p>{kind?.does}</p>
      ) : (
        <Select
          label={say("cautionForm.what")}
          hint={kind?.does ?? ""}
          options={kinds.map((one) => [one.name, one.title] as const)}
          value={name}
          onChange={setName}
        />
      )}
      <Pair>
        {kind?.sided ? (
          <Choice label={say("cautionForm.side")} options={SIDES} value={side as "left"} onChange={setSide} />
        ) : null}
        <DateEntry
          label={say("cautionForm.sinceIfKnown")}
          hint=""
          value={since}
          onChange={setSince}
          complaint={complaintAt(thrown, "/since")}
        />
      </Pair>
      {kind?.joints.length ? (
        <Choice
          label={say("cautionForm.joint")}
          hint={say("cautionForm.jointHint")}
          options={kind.joints.map((one) => [one.name as CautionFields["joint"], one.title] as const)}
          value={joint}
          onChange={setJoint}
        />
      ) : null}
      <Pair>
        <Field
          label={say("cautionForm.clearedBy")}
          hint={say("cautionForm.theClinicianSNameNobody")}
          value={clearedBy}
          maxLength={80}
          autoComplete="off"
          onChange={setClearedBy}
          complaint={complaintAt(thrown, "/cleared_by")}
        />
        <DateEntry
          label={say("cautionForm.clearedOn")}
          hint=""
          value={clearedOn}
          onChange={setClearedOn}
          complaint={complaintAt(thrown, "/cleared_on")}
        />
      </Pair>
      <DegreesFields
        motions={motions}
        spans={shown}
        onChange={setSpans}
        complaint={(motion) => problem ?? degreesComplaint(thrown, motion)}
      />
      {kind?.named.length ? (
        <div role="group" aria-label={say("cautionForm.named")}>
          <FieldHint>{say("cautionForm.named")}</FieldHint>
          {kind.named.map(({ family, title }) => (
            <Tick
              key={family}
              isSelected={named.includes(family)}
              onChange={(ticked) => setNamed(ticked ? [...named, family] : named.filter((one) => one !== family))}
            >
              {title}
            </Tick>
          ))}
        </div>
      ) : null}
      <Field
        label={say("cautionForm.loadAllowedToKg")}
        inputMode="decimal"
        value={load}
        autoComplete="off"
        onChange={setLoad}
        complaint={complaintAt(thrown, "/load_to_kg")}
      />
      <FieldHint>{say("cautionForm.aClinicianSDegreesTake")}</FieldHint>
      <TextField value={note} onChange={setNote} maxLength={1000}>
        <FieldLabel>{say("cautionForm.note")}</FieldLabel>
        <Note />
        <FieldHint slot="description">{say("cautionForm.keptEncryptedShownOnThis")}</FieldHint>
      </TextField>
      <span>
        <PrimaryButton type="submit" isDisabled={busy}>
          {say("cautionForm.keep")}
        </PrimaryButton>{" "}
        {caution ? <QuietButton onPress={onMistaken}>{say("cautionForm.writtenByMistake")}</QuietButton> : null}
      </span>
    </Sheet>
  );
}
