// Large answers beside one another, one of them chosen.
import type { ReactNode } from "react";
import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import { colour, font, radius, space, target } from "../../../ui/tokens";

export const Answers = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;
const Pressed = styled(ToggleButton)<{ $tone: "plain" | "wrong" }>`
  min-height: ${target.least};
  padding: ${space(1)} ${space(3)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  cursor: pointer;
  font-weight: ${font.strong};
  &[data-hovered] {
    border-color: ${colour.action};
  }
  &[data-selected] {
    border: 2px solid ${({ $tone }) => ($tone === "wrong" ? colour.off : colour.action)};
    background: ${({ $tone }) => ($tone === "wrong" ? colour.offFill : colour.actionQuiet)};
  }
  &[data-large="true"] {
    flex: 1;
    min-height: 4.25rem;
    font-size: 1.25rem;
  }
`;

type Props = {
  selected: boolean;
  onPress: () => void;
  children: ReactNode;
  tone?: "plain" | "wrong";
  large?: boolean;
};

export function Answer({ selected, onPress, children, tone = "plain", large = false }: Props) {
  return (
    <Pressed isSelected={selected} onPress={onPress} $tone={tone} data-large={large}>
      {children}
    </Pressed>
  );
}
