import { Label, Radio, RadioGroup } from "react-aria-components";
import styled from "styled-components";
import { FieldHint, FieldLabel } from "./Field";
import { colour, font, radius, space, target } from "./tokens";

const Row = styled.div<{ $stacked: boolean }>`
  display: ${({ $stacked }) => ($stacked ? "grid" : "inline-flex")};
  flex-wrap: wrap;
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  overflow: visible;
`;

const Option = styled(Radio)<{ $tight: boolean; $stacked: boolean }>`
  position: relative;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-height: ${target.least};
  min-width: ${target.least};
  padding: 0 ${({ $tight }) => ($tight ? space(2) : space(4))};
  cursor: pointer;
  & + & {
    border: 0 solid ${colour.line};
    border-${({ $stacked }) => ($stacked ? "top" : "left")}-width: 1px;
  }
  &[data-selected] {
    background: ${colour.action};
    color: ${colour.actionInk};
    font-weight: ${font.strong};
  }
`;

const Hidden = styled(Label)`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
`;

type Props<T extends string> = {
  label: string;
  hint?: string;
  options: readonly (readonly [T, string])[];
  value: T;
  onChange: (value: T) => void;
  compact?: boolean;
  /** one below the other, or close together, where the room is narrow */
  stacked?: boolean;
  tight?: boolean;
};

/** One of a few, all in sight. */
export function Choice<T extends string>({
  label,
  hint,
  options,
  value,
  onChange,
  compact = false,
  stacked = false,
  tight = false,
}: Props<T>) {
  return (
    <RadioGroup
      value={value}
      onChange={(next) => onChange(next as T)}
      orientation={stacked ? "vertical" : "horizontal"}
    >
      {compact ? <Hidden>{label}</Hidden> : <FieldLabel>{label}</FieldLabel>}
      <Row $stacked={stacked}>
        {options.map(([key, name]) => (
          <Option key={key} value={key} $tight={tight} $stacked={stacked}>
            {name}
          </Option>
        ))}
      </Row>
      {hint ? <FieldHint slot="description">{hint}</FieldHint> : null}
    </RadioGroup>
  );
}
