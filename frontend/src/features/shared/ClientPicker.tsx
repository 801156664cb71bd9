// A field and, under it, whoever has these letters in some part of the name. Arrows and Enter, or a touch.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Autocomplete, Input, Label, SearchField } from "react-aria-components";
import styled from "styled-components";
import { searchQuery } from "../../api/queries";
import { FoundList } from "../../ui/FoundList";
import { colour, font, radius, size, space } from "../../ui/tokens";

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
type Props = {
  label: string;
  autoFocus?: boolean;
  /** ids that are not offered */
  without?: readonly string[];
  onPick: (id: string) => void;
};

export function ClientPicker({ label, autoFocus = false, without = [], onPick }: Props) {
  const [text, setText] = useState("");
  const wanted = text.trim();
  const looking = wanted.length >= 2;
  const found = useQuery({ ...searchQuery(wanted), enabled: looking });
  const clients = looking ? (found.data?.clients ?? []).filter(({ id }) => !without.includes(id)) : [];
  return (
    <Autocomplete inputValue={text} onInputChange={setText}>
      <SearchField autoFocus={autoFocus}>
        <Name>{label}</Name>
        <Typed placeholder={say("clientPicker.hint")} autoComplete="off" />
      </SearchField>
      {looking ? (
        <FoundList
          label={say("clientPicker.clientsFound")}
          found={clients.map((client) => ({ id: client.id, name: client.name, what: client.detail }))}
          nothing={found.isSuccess ? say("clientPicker.nobodyOffer") : say("clientPicker.looking")}
          onOpen={(id) => {
            setText("");
            onPick(id);
          }}
        />
      ) : null}
    </Autocomplete>
  );
}
