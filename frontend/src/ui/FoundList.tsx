import type { ReactNode } from "react";
import { ListBox, ListBoxItem } from "react-aria-components";
import styled from "styled-components";
import { colour, font, space, target } from "./tokens";

const List = styled(ListBox)`
  max-height: 24rem;
  overflow: auto;
  outline: none;
  background: ${colour.panel};
  border: 1px solid ${colour.line};
  border-top: 0;
`;
const Row = styled(ListBoxItem)`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: ${space(3)};
  min-height: ${target.step};
  padding: ${space(1)} ${space(4)};
  cursor: pointer;
  outline-offset: -3px;
  & + & {
    border-top: 1px solid ${colour.line};
  }
  &[data-focused],
  &[data-hovered] {
    background: ${colour.actionQuiet};
  }
  span:first-child {
    font-weight: ${font.strong};
  }
  span:last-child {
    color: ${colour.inkMuted};
  }
`;
const Nothing = styled.div`
  padding: ${space(4)};
  color: ${colour.inkMuted};
`;

export type Found = { id: string; name: string; what: string };

/** What a search found: a name and what it is; arrows and Enter, or a touch. */
export function FoundList({
  label,
  found,
  nothing,
  onOpen,
}: {
  label: string;
  found: Found[];
  nothing: ReactNode;
  onOpen: (id: string) => void;
}) {
  return (
    <List
      aria-label={label}
      selectionMode="none"
      onAction={(id) => onOpen(String(id))}
      renderEmptyState={() => <Nothing>{nothing}</Nothing>}
    >
      {found.map((entry) => (
        <Row key={entry.id} id={entry.id} textValue={entry.name}>
          <span>{entry.name}</span>
          <span>{entry.what}</span>
        </Row>
      ))}
    </List>
  );
}
