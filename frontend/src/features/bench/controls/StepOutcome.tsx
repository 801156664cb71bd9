// What one step of an adjuster would do, before it is made.
import styled from "styled-components";
import type { Evaluation } from "../../../api/types";
import { BandShape, SEVERITY_BANDS } from "../../../ui/Band";
import { size, space } from "../../../ui/tokens";

const Outcome = styled.span<{ $end?: boolean }>`
  display: flex;
  align-items: flex-start;
  gap: ${space(1)};
  justify-self: ${({ $end }) => ($end ? "end" : "start")};
  font-size: ${size.small};
  line-height: 1.2;
  svg {
    margin-top: 0.15em;
  }
`;
type Props = { step: Evaluation["steps"][string]["down"]; none: string; end?: boolean };

/** Band of the whole, mark, and the number that this adjuster decides. */
export function StepOutcome({ step, none, end = false }: Props) {
  if (!step) return <Outcome $end={end}>{none}</Outcome>;
  return (
    <Outcome $end={end}>
      {step.severity === null ? null : <BandShape band={SEVERITY_BANDS[step.severity] ?? "off"} diameter={12} />}{" "}
      {step.mark}: {step.short}
    </Outcome>
  );
}
