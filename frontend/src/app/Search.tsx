// One field that finds clients, machines and places from anywhere.
import { say } from "../lib/say";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Autocomplete, Input, SearchField } from "react-aria-components";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { findQuery, machinesQuery } from "../api/queries";
import { Dialogue } from "../ui/Dialogue";
import { type Found, FoundList } from "../ui/FoundList";
import { colour, radius, size, space, target } from "../ui/tokens";

const Typed = styled(Input)`
  width: 100%;
  &::-webkit-search-cancel-button {
    display: none;
  }
  min-height: ${target.step};
  padding: ${space(2)} ${space(3)};
  font-size: ${size.large};
  border: 2px solid ${colour.action};
  border-radius: ${radius};
`;
type Entry = Found & { to: string };

const ACTIONS: Entry[] = [
  { id: "new", to: "/clients/new", name: say("search.addClient"), what: "action" },
  { id: "new-machine", to: "/machines/new", name: say("search.enterMachine"), what: "action" },
  { id: "floor", to: "/", name: say("search.floor"), what: "place" },
  { id: "clients", to: "/clients", name: say("search.clients"), what: "place" },
  { id: "machines", to: "/machines", name: say("search.machines"), what: "place" },
  { id: "who-fits", to: "/machines/who-fits", name: say("whoFitsPage.title"), what: "place" },
  { id: "board", to: "/board", name: say("search.board"), what: "place" },
  { id: "sessions", to: "/sessions", name: say("search.sessions"), what: "place" },
  { id: "practice", to: "/practice", name: say("practicePage.title"), what: "place" },
  { id: "group", to: "/sessions/groups/new", name: say("search.gatherGroup"), what: "action" },
  { id: "refits", to: "/refits", name: say("search.refits"), what: "place" },
  { id: "gym", to: "/gym", name: say("search.theGym"), what: "place" },
  { id: "exchange", to: "/gym/exchange", name: say("exchange.title"), what: "place" },
];

const fits = (entry: Entry, text: string) => entry.name.toLowerCase().includes(text.toLowerCase());

export function Search({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialogue title={say("search.find")} isOpen={isOpen} onClose={onClose}>
      <Finder onClose={onClose} />
    </Dialogue>
  );
}

function Finder({ onClose }: { onClose: () => void }) {
  const [text, setText] = useState("");
  const navigate = useNavigate();
  const wanted = text.trim();
  const typed = wanted.length >= 2;
  const found = useQuery({ ...findQuery(wanted), enabled: typed });
  const machines = useQuery({ ...machinesQuery, enabled: !typed });
  const entries: Entry[] = [
    ...(typed ? (found.data?.clients ?? []) : []).map((client) => ({
      id: client.id,
      to: `/clients/${client.id}`,
      name: client.name,
      what: client.detail || say("search.client"),
    })),
    ...(typed ? (found.data?.machines ?? []) : []).map((machine) => ({
      id: machine.id,
      to: machine.marks ? `/machines/${machine.id}/sheet` : `/machines/${machine.id}`,
      name: machine.name,
      what: machine.why ?? machine.place,
    })),
    ...(typed ? [] : (machines.data ?? []))
      .map(({ id, name, place }) => ({ id, to: `/machines/${id}`, name, what: place }))
      .filter((entry) => fits(entry, wanted)),
    ...ACTIONS.filter((entry) => fits(entry, wanted)),
  ];
  const open = (id: string) => {
    const entry = entries.find((candidate) => candidate.id === id);
    if (!entry) return;
    onClose();
    void navigate(entry.to);
  };
  return (
    <Autocomplete inputValue={text} onInputChange={setText}>
      <SearchField aria-label={say("search.label")} autoFocus>
        <Typed placeholder={say("search.twoLettersOfAnyPart")} />
      </SearchField>
      <FoundList label={say("search.found")} found={entries} nothing={say("search.nothing")} onOpen={open} />
    </Autocomplete>
  );
}
