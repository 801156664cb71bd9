// A field and, under it, whoever has these letters in some part of the name. Arrows and Enter, or a touch.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Autocomplete, Input, Label, ListBox, ListBoxItem, SearchField } from "react-aria-components";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { searchQuery } from "../../api/queries";
import { colour, font, radius, size, space, target } from "../../ui/tokens";

const Name = styled(Label)`
  display: block;
  margin-bottom: ${space(2)};
  font-size: ${size.large};
  font-weight: ${font.strong};
`;
const Typed = styled(Input)`
  width: 100%;
  &::-webkit-search-cancel-button {
    display: none;
  }
  min-height: 64px;
  padding: ${space(2)} ${space(4)};
  font-size: ${size.large};
  border: 2px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  &::placeholder {
    color: ${colour.inkMuted};
    opacity: 1;
  }
`;
const Found = styled(ListBox)`
  border: 1px solid ${colour.line};
  border-top: 0;
  background: ${colour.panel};
  max-height: 24rem;
  overflow: auto;
  outline: none;
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
const Nobody = styled.div`
  padding: ${space(4)};
  color: ${colour.inkMuted};
`;

export function ClientFinder({ autoFocus = false }: { autoFocus?: boolean }) {
  const [text, setText] = useState("");
  const navigate = useNavigate();
  const wanted = text.trim();
  const looking = wanted.length >= 2;
  const found = useQuery({ ...searchQuery(wanted), enabled: looking });
  const clients = looking ? (found.data?.clients ?? []) : [];
  return (
    <Autocomplete inputValue={text} onInputChange={setText}>
      <SearchField autoFocus={autoFocus}>
        <Name>Find a client</Name>
        <Typed placeholder="Two letters of any part of the name" autoComplete="off" />
      </SearchField>
      {looking ? (
        <Found
          aria-label="Clients found"
          selectionMode="none"
          onAction={(id) => void navigate(`/clients/${String(id)}`)}
          renderEmptyState={() => (
            <Nobody>{found.isSuccess ? "Nobody has these letters. Add them as a new client?" : "Looking…"}</Nobody>
          )}
        >
          {clients.map((client) => (
            <Row key={client.id} id={client.id} textValue={client.name}>
              <span>{client.name}</span>
              <span>{client.detail}</span>
            </Row>
          ))}
        </Found>
      ) : null}
    </Autocomplete>
  );
}
