// What a clinician allows, joint by joint: which motion, from and to how many degrees.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { Cautions } from "../../api/types";
import type { Span } from "../../model/cautionDraft";
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
    <div role="group" aria-label={say("degreesFields.title")}>
      {spans.map((span, index) => (
        <Row key={span.motion} data-degrees={span.motion}>
          <Select
            label={index === 0 ? say("degreesFields.motionLabel") : say("degreesFields.and")}
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
          {say("degreesFields.addMotion")}
        </QuietButton>
      ) : null}
    </div>
  );
}
