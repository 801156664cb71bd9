import { say } from "../../lib/say";
import { useState } from "react";
import { refusal } from "../../api/client";
import type { Observation } from "../../api/types";
import { lengthIn, type LengthUnit, lengthText, parseNumber, toMm } from "../../lib/lengths";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Large, MeasureActions, MeasureSheet } from "../../ui/MeasureSheet";
import { Notice } from "../../ui/Notice";
import { Small } from "../../ui/Page";
import { useKept } from "../../ui/useKept";
import { ExpectedRange } from "./ExpectedRange";

type Props = {
  clientId: string;
  observation: Observation;
  unit: LengthUnit;
  busy: boolean;
  thrown: unknown;
  said: string;
  onTyped: () => void;
  onTake: (value: number, confirmed: boolean) => void;
  onRemove: () => void;
  onPutBack: (() => void) | null;
};

/** One measure: how to take it, what is expected, what was read. A slip keeps what was typed and asks. */
export function ReadingForm({
  clientId,
  observation,
  unit,
  busy,
  thrown,
  said,
  onTyped,
  onTake,
  onRemove,
  onPutBack,
}: Props) {
  const { reading } = observation;
  const [text, setText, forget] = useKept(`tape.${clientId}.${observation.name}`, "");
  const [problem, setProblem] = useState<string>();
  const typed = parseNumber(text);
  const error = refusal(thrown);
  const slip = error?.code === "slip";
  const submit = (confirmed: boolean) => {
    setProblem(
      typed === null
        ? say("readingForm.valueProblem", {
            what: unit === "cm" ? say("units.centimetres") : say("units.inches"),
            lengthIn: lengthIn(observation.expected_mm, unit),
          })
        : undefined,
    );
    if (typed !== null) onTake(typed, confirmed);
  };
  return (
    <MeasureSheet
      onSubmit={(event) => {
        event.preventDefault();
        submit(false);
      }}
    >
      <h2>{observation.title}</h2>
      <p>{observation.how}</p>
      <Large>
        <Field
          label={say("readingForm.valueLabel", { what: unit === "cm" ? "cm" : say("units.inches") })}
          inputMode="decimal"
          autoComplete="off"
          autoFocus
          value={text}
          onChange={(next) => {
            setText(next);
            setProblem(undefined);
            onTyped();
          }}
          complaint={problem ?? (error && !slip ? error.message : undefined)}
        />
      </Large>
      <ExpectedRange observation={observation} typedMm={typed === null ? null : toMm(typed, unit)} unit={unit} />
      {slip ? (
        <Notice tone="wrong">
          {error.message}
          <MeasureActions style={{ marginTop: "0.75rem" }}>
            <SecondaryButton onPress={() => submit(true)} isDisabled={busy}>
              {say("readingForm.keepAnyway")}
            </SecondaryButton>
          </MeasureActions>
        </Notice>
      ) : null}
      <MeasureActions>
        <PrimaryButton type="submit" isDisabled={busy}>
          {reading ? say("readingForm.replace") : say("readingForm.keep")}
        </PrimaryButton>
        {reading ? (
          <QuietButton
            onPress={() => {
              forget();
              onRemove();
            }}
          >
            {say("readingForm.remove")}
          </QuietButton>
        ) : null}
      </MeasureActions>
      {reading ? (
        <Small>
          {say("readingForm.taped")} {lengthText(reading.value_mm, unit)} {say("readingForm.by")} {reading.taken_by}.
        </Small>
      ) : null}
      <MeasureActions style={{ alignItems: "center" }}>
        <Small role="status">{said}</Small>
        {onPutBack ? (
          <QuietButton onPress={onPutBack} isDisabled={busy}>
            {say("readingForm.restore")}
          </QuietButton>
        ) : null}
      </MeasureActions>
    </MeasureSheet>
  );
}
