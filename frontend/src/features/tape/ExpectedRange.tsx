import { say } from "../../lib/say";
import styled from "styled-components";
import type { Observation } from "../../api/types";
import { lengthIn, type LengthUnit, lengthText } from "../../lib/lengths";
import { colour, font, size, space } from "../../ui/tokens";

const Text = styled.p`
  font-size: ${size.small};
  color: ${colour.inkMuted};
  margin-top: ${space(1)};
  b {
    font-family: ${font.mark};
    word-spacing: -0.3em;
    color: ${colour.ink};
  }
`;

/** The expected value as a faint range, with the value typed against it: a slip is seen at once. */
export function ExpectedRange({
  observation,
  typedMm,
  unit,
}: {
  observation: Observation;
  typedMm: number | null;
  unit: LengthUnit;
}) {
  const { low_mm: low, high_mm: high, expected_mm: expected } = observation;
  const span = high - low;
  const [from, to] = [expected - 1.6 * span, expected + 1.6 * span];
  const x = (mm: number) => 2 + (96 * (Math.min(Math.max(mm, from), to) - from)) / (to - from);
  const inside = typedMm !== null && typedMm >= low && typedMm <= high;
  return (
    <div>
      <svg
        viewBox="0 0 100 11"
        width="100%"
        role="img"
        aria-label={say("expectedRange.between", {
          length: lengthText(low, unit),
          length2: lengthText(high, unit),
        })}
      >
        <rect x="0" y="4.6" width="100" height="1.4" fill={colour.line} />
        <rect
          x={x(low)}
          y="2.4"
          width={x(high) - x(low)}
          height="5.8"
          rx="0.8"
          fill={colour.inLineFill}
          stroke={colour.inLine}
          strokeWidth="0.3"
        />
        <rect x={x(expected) - 0.2} y="2.4" width="0.4" height="5.8" fill={colour.inLine} />
        {typedMm === null ? null : (
          <path d={`M${x(typedMm)} 10.6l-1.7 0l1.7 -10l1.7 10z`} fill={inside ? colour.ink : colour.close} />
        )}
      </svg>
      <Text>
        {say("expectedRange.expected")}{" "}
        <b>
          {lengthIn(low, unit)} {say("expectedRange.to")} {lengthText(high, unit)}
        </b>
        <br />
        {say("expectedRange.likelihood")}
      </Text>
    </div>
  );
}
