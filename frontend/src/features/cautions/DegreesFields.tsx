// What a clinician allows, joint by joint: which motion, from and to how many degrees.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { Cautions } from "../../api/types";
import { parseNumber } from "../../lib/lengths";
import { QuietButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Select } from "../../ui/Select";
import { space } from "../../ui/tokens";

const Row = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 6.5rem 6.5rem;
  gap: ${space(2)};
  align-items: end;
`;

/** As typed: an end that is blank is not spoken of. */
export type Span = { motion: string; from: string; to: string };
export type Degrees = Record<string, { from: number | null; to: number | null }>;

const number = (text: string): number | null => (text.trim() === "" ? null : parseNumber(text));

/** null where something typed is no number. */
export function degreesOf(spans: readonly Span[]): Degrees | null {
  const typed = spans.flatMap(({ from, to }) => [from, to]).filter((text) => text.trim() !== "");
  if (typed.some((text) => parseNumber(text) === null)) return null;
  return Object.fromEntries(
    spans
      .map(({ motion, from, to }) => [motion, { from: number(from), to: number(to) }] as const)
      .filter(([, { from, to }]) => from !== null || to !== null),
  );
}

type Props = {
  motions: Cautions["motions"];
  spans: readonly Span[];
  complaint: (motion: string) => string | undefined;
  onChange: (spans: Span[]) => void;
};

export function DegreesFields({ motions, spans, complaint, onChange }: Props) {
  const free = motions.filter(({ name }) => !spans.some(({ motion }) => motion === name));
  const change = (index: number, fields: Partial<Span>) =>
    onChange(spans.map((span, other) => (other === index ? { ...span, ...fields } : span)));
  return (
    <div role="group" aria-label={say("degreesFields.whatTheClinicianAllows")}>
      {spans.map((span, index) => (
        <Row key={span.motion} data-degrees={span.motion}>
          <Select
            label={index === 0 ? say("degreesFields.jointAndMotionAllowed") : say("degreesFields.and")}
            options={motions
              .filter(({ name }) => name === span.motion || free.some((one) => one.name === name))
              .map(({ name, title }) => [name, title] as const)}
            value={span.motion}
            onChange={(motion) => change(index, { motion })}
          />
          <Field
            label={say("degreesFields.from")}
            inputMode="decimal"
            value={span.from}
            autoComplete="off"
            onChange={(from) => change(index, { from })}
            complaint={complaint(span.motion)}
          />
          <Field
            label={say("degreesFields.to")}
            inputMode="decimal"
            value={span.to}
            autoComplete="off"
            onChange={(to) => change(index, { to })}
          />
        </Row>
      ))}
      {free[0] ? (
        <QuietButton onPress={() => onChange([...spans, { motion: free[0]?.name ?? "", from: "", to: "" }])}>
          {say("degreesFields.anotherJointOrMotion")}
        </QuietButton>
      ) : null}
    </div>
  );
}
