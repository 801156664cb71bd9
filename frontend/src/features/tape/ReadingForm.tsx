import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { refusal } from "../../api/client";
import type { Observation } from "../../api/types";
import { lengthIn, type LengthUnit, lengthText, parseNumber, toMm } from "../../model/lengths";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Small } from "../../ui/Page";
import { colour, font, radius, size, space } from "../../ui/tokens";
import { useKept } from "../../ui/useKept";
import { ExpectedRange } from "./ExpectedRange";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  h2 {
    font-size: ${size.large};
  }
  input {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: ${size.title};
    min-height: 64px;
  }
`;
const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;

type Props = {
  clientId: string;
  observation: Observation;
  unit: LengthUnit;
  busy: boolean;
  thrown: unknown;
  said: string;
  onTake: (value: number, confirmed: boolean) => void;
  onRemove: () => void;
};

/** One measure: how to take it, what is expected, what was read. A slip keeps what was typed and asks. */
export function ReadingForm({ clientId, observation, unit, busy, thrown, said, onTake, onRemove }: Props) {
  const { reading } = observation;
  const [text, setText, forget] = useKept(`tape.${clientId}.${observation.name}`, "");
  const [problem, setProblem] = useState<string>();
  const typed = parseNumber(text);
  const error = refusal(thrown);
  const slip = error?.code === "slip";
  const submit = (confirmed: boolean) => {
    setProblem(
      typed === null
        ? `A number in ${unit === "cm" ? "centimetres" : "inches"}, such as ${lengthIn(observation.expected_mm, unit)}.`
        : undefined,
    );
    if (typed !== null) onTake(typed, confirmed);
  };
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        submit(false);
      }}
    >
      <h2>{observation.title}</h2>
      <p>{observation.how}</p>
      <Field
        label={`Reading in ${unit === "cm" ? "cm" : "inches"}`}
        inputMode="decimal"
        autoComplete="off"
        autoFocus
        value={text}
        onChange={(next) => {
          setText(next);
          setProblem(undefined);
        }}
        complaint={problem ?? (error && !slip ? error.message : undefined)}
      />
      <ExpectedRange observation={observation} typedMm={typed === null ? null : toMm(typed, unit)} unit={unit} />
      {slip ? (
        <Notice tone="wrong">
          {error.message}
          <Actions style={{ marginTop: "0.75rem" }}>
            <SecondaryButton onPress={() => submit(true)} isDisabled={busy}>
              Read twice: keep it
            </SecondaryButton>
          </Actions>
        </Notice>
      ) : null}
      <Actions>
        <PrimaryButton type="submit" isDisabled={busy}>
          {reading ? "Replace the reading" : "Keep the reading"}
        </PrimaryButton>
        {reading ? (
          <QuietButton
            onPress={() => {
              forget();
              onRemove();
            }}
          >
            Remove
          </QuietButton>
        ) : null}
      </Actions>
      {reading ? (
        <Small>
          Taped {lengthText(reading.value_mm, unit)} by {reading.taken_by}.
        </Small>
      ) : null}
      <Small role="status">{said}</Small>
    </Sheet>
  );
}
