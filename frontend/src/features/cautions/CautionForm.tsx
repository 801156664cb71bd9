// One caution: what, which side, since when, who cleared it with which degrees, a note. It never diagnoses.
import { say } from "../../lib/say";
import { useState } from "react";
import { Form, TextArea, TextField } from "react-aria-components";
import styled from "styled-components";
import { complaintAt, refusal } from "../../api/client";
import type { Caution, Cautions } from "../../api/types";
import {
  type CautionDraft,
  type CautionFields,
  draftOf,
  fieldsOf,
  type Joint,
  spansShown,
} from "../../model/cautionDraft";
import { PrimaryButton, QuietButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { DateEntry } from "../../ui/DateEntry";
import { Field, FieldHint, FieldLabel } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { DegreesFields } from "./DegreesFields";

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

type Props = {
  caution: Caution | null;
  kinds: Cautions["kinds"];
  motions: Cautions["motions"];
  busy: boolean;
  thrown: unknown;
  onKeep: (name: string, version: number | null, fields: CautionFields) => void;
  /** null for whoever may not take one out */
  onMistaken: (() => void) | null;
  /** a clinician who writes their own word, and nothing else; null for everybody else */
  signedBy: string | null;
};

/** Of either end of a joint. */
const degreesComplaint = (thrown: unknown, motion: string) =>
  ["", "/from", "/to"].map((end) => complaintAt(thrown, `/degrees/${motion}${end}`)).find((one) => one !== undefined);

const PATHS = ["/cleared_by", "/cleared_on", "/since", "/load_to_kg"];

export function CautionForm({ caution, kinds, motions, busy, thrown, onKeep, onMistaken, signedBy }: Props) {
  const [draft, setDraft] = useState(() => {
    const first = draftOf(caution, kinds);
    return signedBy === null ? first : { ...first, clearedBy: signedBy };
  });
  const [problem, setProblem] = useState<string>();
  const change = (fields: Partial<CautionDraft>) => setDraft((now) => ({ ...now, ...fields }));
  const kind = kinds.find((one) => one.name === draft.name);
  const error = refusal(thrown);
  const submit = () => {
    const fields = fieldsOf(draft, kind);
    setProblem(fields === null ? say("cautionForm.numberProblem") : undefined);
    if (fields !== null) onKeep(draft.name, caution?.version ?? null, fields);
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
          value={draft.name}
          onChange={(name) => change({ name })}
        />
      )}
      {signedBy === null ? (
        <Pair>
          {kind?.sided ? (
            <Choice
              label={say("cautionForm.side")}
              options={SIDES}
              value={draft.side as "left"}
              onChange={(side) => change({ side })}
            />
          ) : null}
          <DateEntry
            label={say("cautionForm.sinceLabel")}
            hint=""
            value={draft.since}
            onChange={(since) => change({ since })}
            complaint={complaintAt(thrown, "/since")}
          />
        </Pair>
      ) : null}
      {signedBy === null && kind?.joints.length ? (
        <Choice
          label={say("cautionForm.joint")}
          hint={say("cautionForm.jointHint")}
          options={kind.joints.map((one) => [one.name as Joint, one.title] as const)}
          value={draft.joint}
          onChange={(joint) => change({ joint })}
        />
      ) : null}
      <Pair>
        <Field
          label={say("cautionForm.clearedBy")}
          hint={say("cautionForm.clinicianHint")}
          value={draft.clearedBy}
          maxLength={80}
          autoComplete="off"
          isReadOnly={signedBy !== null}
          onChange={(clearedBy) => change({ clearedBy })}
          complaint={complaintAt(thrown, "/cleared_by")}
        />
        <DateEntry
          label={say("cautionForm.clearedOn")}
          hint=""
          value={draft.clearedOn}
          onChange={(clearedOn) => change({ clearedOn })}
          complaint={complaintAt(thrown, "/cleared_on")}
        />
      </Pair>
      <DegreesFields
        motions={motions}
        spans={spansShown(draft, kind, motions[0]?.name ?? "")}
        onChange={(spans) => change({ spans })}
        complaint={(motion) => problem ?? degreesComplaint(thrown, motion)}
      />
      {kind?.named.length ? (
        <div role="group" aria-label={say("cautionForm.named")}>
          <FieldHint>{say("cautionForm.named")}</FieldHint>
          {kind.named.map(({ family, title }) => (
            <Tick
              key={family}
              isSelected={draft.named.includes(family)}
              onChange={(ticked) =>
                change({ named: ticked ? [...draft.named, family] : draft.named.filter((one) => one !== family) })
              }
            >
              {title}
            </Tick>
          ))}
        </div>
      ) : null}
      <Field
        label={say("cautionForm.loadLabel")}
        inputMode="decimal"
        value={draft.load}
        autoComplete="off"
        onChange={(load) => change({ load })}
        complaint={complaintAt(thrown, "/load_to_kg")}
      />
      <FieldHint>{say("cautionForm.degreesHint")}</FieldHint>
      {signedBy === null ? (
        <TextField value={draft.note} onChange={(note) => change({ note })} maxLength={1000}>
          <FieldLabel>{say("cautionForm.note")}</FieldLabel>
          <Note />
          <FieldHint slot="description">{say("cautionForm.sealedHint")}</FieldHint>
        </TextField>
      ) : null}
      <span>
        <PrimaryButton type="submit" isDisabled={busy}>
          {say("cautionForm.keep")}
        </PrimaryButton>{" "}
        {caution && onMistaken ? (
          <QuietButton onPress={onMistaken}>{say("cautionForm.mistakeButton")}</QuietButton>
        ) : null}
      </span>
    </Sheet>
  );
}
