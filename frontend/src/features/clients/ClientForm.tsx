// Who a client is: for adding and for correcting. What was typed stays when the server refuses it.
import { say } from "../../lib/say";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { complaintAt, refusal } from "../../api/client";
import { parseNumber } from "../../lib/lengths";
import { PrimaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { DateEntry } from "../../ui/DateEntry";
import { Field } from "../../ui/Field";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { breakpoint, colour, radius, space } from "../../ui/tokens";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(5)};
  max-width: 44rem;
  padding: ${space(6)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space(5)};
  align-items: start;
  @media ${breakpoint.phone} {
    grid-template-columns: 1fr;
  }
`;
const Actions = styled.div`
  display: flex;
  gap: ${space(4)};
`;

export type ClientFields = {
  name: string;
  detail: string;
  sex: "man" | "woman" | null;
  birth_date: string | null;
  body_mass_kg: number | null;
};

const SEXES = [
  ["woman", say("clientForm.woman")],
  ["man", say("clientForm.man")],
  ["", say("clientForm.notGiven")],
] as const;

const PATHS = ["/name", "/detail", "/sex", "/birth_date", "/body_mass_kg"];

type Props = {
  start: ClientFields;
  action: string;
  back: string;
  busy: boolean;
  thrown: unknown;
  onSubmit: (fields: ClientFields) => void;
};

export function ClientForm({ start, action, back, busy, thrown, onSubmit }: Props) {
  const [name, setName] = useState(start.name);
  const [detail, setDetail] = useState(start.detail);
  const [sex, setSex] = useState<"man" | "woman" | "">(start.sex ?? "");
  const [birthDate, setBirthDate] = useState(start.birth_date);
  const [mass, setMass] = useState(start.body_mass_kg === null ? "" : String(start.body_mass_kg));
  const [massProblem, setMassProblem] = useState<string>();
  const error = refusal(thrown);
  const elsewhere = error && !PATHS.includes(error.path) ? error.message : null;

  const submit = () => {
    const kilograms = mass.trim() === "" ? null : parseNumber(mass);
    setMassProblem(mass.trim() !== "" && kilograms === null ? say("clientForm.massProblem") : undefined);
    if (mass.trim() !== "" && kilograms === null) return;
    onSubmit({ name, detail, sex: sex || null, birth_date: birthDate, body_mass_kg: kilograms });
  };

  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      {elsewhere ? <Notice tone="wrong">{elsewhere}</Notice> : null}
      <Pair>
        <Field
          label={say("clientForm.name")}
          value={name}
          onChange={setName}
          isRequired
          maxLength={80}
          autoFocus
          complaint={complaintAt(thrown, "/name")}
          autoComplete="off"
        />
        <Field
          label={say("clientForm.distinctionLabel")}
          hint={say("clientForm.distinctionHint")}
          value={detail}
          onChange={setDetail}
          maxLength={80}
          complaint={complaintAt(thrown, "/detail")}
          autoComplete="off"
        />
      </Pair>
      <Choice
        label={say("clientForm.sex")}
        hint={say("clientForm.sexUse")}
        options={SEXES}
        value={sex}
        onChange={setSex}
      />
      <Pair>
        <DateEntry
          label={say("clientForm.birthLabel")}
          value={birthDate}
          onChange={setBirthDate}
          hint={say("clientForm.ageUse")}
          complaint={complaintAt(thrown, "/birth_date")}
        />
        <Field
          label={say("clientForm.massLabel")}
          inputMode="decimal"
          value={mass}
          onChange={setMass}
          hint={say("clientForm.massUse")}
          complaint={massProblem ?? complaintAt(thrown, "/body_mass_kg")}
          autoComplete="off"
        />
      </Pair>
      <Actions>
        <PrimaryButton type="submit" isDisabled={busy}>
          {action}
        </PrimaryButton>
        <QuietLink to={back}>{say("clientForm.back")}</QuietLink>
      </Actions>
    </Sheet>
  );
}
