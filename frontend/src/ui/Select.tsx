import { Button, ListBox, ListBoxItem, Popover, Select as AriaSelect, SelectValue } from "react-aria-components";
import styled from "styled-components";
import { Complaint, FieldHint, FieldLabel } from "./Field";
import { colour, radius, space, target } from "./tokens";

const Shown = styled(Button)`
  width: 100%;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: ${space(2)};
  min-height: ${target.least};
  padding: ${space(2)} ${space(3)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  text-align: left;
  cursor: pointer;
`;
const List = styled(ListBox)`
  max-height: 20rem;
  overflow: auto;
  padding: ${space(1)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  outline: none;
`;
const Item = styled(ListBoxItem)`
  display: flex;
  align-items: center;
  min-height: ${target.least};
  padding: 0 ${space(3)};
  cursor: pointer;
  outline-offset: -3px;
  &[data-focused],
  &[data-hovered] {
    background: ${colour.actionQuiet};
  }
`;

type Props<T extends string> = {
  label: string;
  hint?: string;
  complaint?: string | undefined;
  options: readonly (readonly [T, string])[];
  value: T;
  onChange: (value: T) => void;
  /** where a row says beside it what it is of */
  hiddenLabel?: boolean;
};

/** One of many: the chosen one in sight, the others a press away. */
export function Select<T extends string>(props: Props<T>) {
  const { label, hint, complaint, options, value, onChange, hiddenLabel = false } = props;
  return (
    <AriaSelect
      isInvalid={Boolean(complaint)}
      validationBehavior="aria"
      value={value}
      onChange={(key) => onChange(String(key) as T)}
      {...(hiddenLabel ? { "aria-label": label } : {})}
    >
      {hiddenLabel ? null : <FieldLabel>{label}</FieldLabel>}
      <Shown>
        <SelectValue />
        <span aria-hidden>▾</span>
      </Shown>
      {hint ? <FieldHint slot="description">{hint}</FieldHint> : null}
      <Complaint>{complaint}</Complaint>
      <Popover>
        <List>
          {options.map(([key, name]) => (
            <Item key={key} id={key} textValue={name}>
              {name}
            </Item>
          ))}
        </List>
      </Popover>
    </AriaSelect>
  );
}
