import { Button, ListBox, ListBoxItem, Popover, Select as AriaSelect, SelectValue } from "react-aria-components";
import styled from "styled-components";
import { FieldHint, FieldLabel } from "./Field";
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
  options: readonly (readonly [T, string])[];
  value: T;
  onChange: (value: T) => void;
  /** where a row says beside it what it is of */
  hiddenLabel?: boolean;
};

/** One of many: the chosen one in sight, the others a press away. */
export function Select<T extends string>({ label, hint, options, value, onChange, hiddenLabel = false }: Props<T>) {
  return (
    <AriaSelect
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
