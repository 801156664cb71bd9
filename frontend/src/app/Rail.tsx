// The rail: every place one tap away, the search, who is at work.
import { useQueryClient } from "@tanstack/react-query";
import { NavLink, useNavigate } from "react-router";
import styled from "styled-components";
import { postAuth } from "../api/client";
import type { Operation, Staff } from "../api/types";
import { say } from "../lib/say";
import { forgetAllUnsaved } from "../lib/unsaved";
import { QuietButton } from "../ui/Button";
import { Logo } from "../ui/Logo";
import { breakpoint, colour, font, size, space, target } from "../ui/tokens";
import { forgetAllKept } from "../ui/useKept";

/** ask: what whoever may not ask is not offered it. */
type Link = readonly [to: string, name: string, ask: Operation];
/** The places, each with those that lie in it. */
const PLACES: readonly (readonly [...Link, within: readonly Link[]])[] = [
  ["/", say("shell.floor"), "floor", [["/refits", say("shell.refits"), "refits"]]],
  ["/clients", say("shell.clients"), "searchClients", [["/board", say("shell.board"), "board"]]],
  ["/machines", say("shell.machines"), "machines", []],
  ["/sessions", say("shell.sessions"), "sessions", [["/practice", say("shell.practice"), "practice"]]],
  [
    "/rules",
    say("shell.houseRules"),
    "rules",
    [
      ["/gym", say("shell.gym"), "gymSettings"],
      ["/gym/staff", say("shell.staff"), "staff"],
      ["/gym/exchange", say("shell.data"), "exportGym"],
      ["/gym/audit", say("shell.trail"), "auditTrail"],
    ],
  ],
];

const Bar = styled.nav`
  position: sticky;
  top: 0;
  height: 100vh;
  display: flex;
  flex-direction: column;
  gap: ${space(1)};
  padding: ${space(4)} 0 ${space(3)};
  background: ${colour.rail};
  color: ${colour.railInk};
  font-size: ${size.small};
  overflow-y: auto;
  @media ${breakpoint.phone} {
    position: static;
    height: auto;
    flex-direction: row;
    flex-wrap: wrap;
    padding: 0 ${space(2)};
  }
`;

const Place = styled(NavLink)`
  display: flex;
  align-items: center;
  justify-content: center;
  min-height: ${target.least};
  padding: 0 ${space(1)};
  border-left: 4px solid transparent;
  border-right: 4px solid transparent;
  color: ${colour.railInk};
  text-align: center;
  text-decoration: none;
  line-height: 1.2;
  &.active {
    color: ${colour.railActive};
    font-weight: ${font.strong};
    border-left-color: ${colour.railMark};
  }
  &:hover {
    color: ${colour.railActive};
  }
  &:focus-visible {
    outline-color: ${colour.railMark};
    outline-offset: -3px;
  }
`;

const Group = styled.div`
  display: flex;
  flex-direction: column;
  @media ${breakpoint.phone} {
    flex-direction: row;
  }
`;
/** What lies in a place: quieter, close under it. */
const Inner = styled(Place)`
  color: ${colour.railQuiet};
  @media ${breakpoint.phone} {
    display: none;
  }
`;

const Mark = styled.span`
  display: block;
  text-align: center;
  padding-bottom: ${space(3)};
  @media ${breakpoint.phone} {
    display: none;
  }
`;

const Foot = styled.div`
  margin-top: auto;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: ${space(1)};
  text-align: center;
  line-height: 1.2;
  @media ${breakpoint.phone} {
    margin: 0 0 0 auto;
    flex-direction: row;
  }
`;

const RailButton = styled(QuietButton)`
  color: ${colour.railInk};
  font-weight: ${font.regular};
  font-size: ${size.small};
  padding: ${space(1)};
  &[data-hovered],
  &:hover {
    background: transparent;
    color: ${colour.railActive};
  }
  &[data-focus-visible] {
    outline-color: ${colour.railMark};
    outline-offset: -3px;
  }
`;

type Props = {
  me: Staff;
  onSearch: () => void;
  onLock: () => void;
};

export function Rail({ me, onSearch, onLock }: Props) {
  return (
    <Bar aria-label={say("shell.places")}>
      <Mark>
        <Logo />
      </Mark>
      {PLACES.filter(([, , ask]) => me.may.includes(ask)).map(([to, name, , within]) => (
        <Group key={to}>
          <Place to={to} end={to === "/"}>
            {name}
          </Place>
          {within
            .filter(([, , ask]) => me.may.includes(ask))
            .map(([inner, title]) => (
              <Inner key={inner} to={inner} end>
                {title}
              </Inner>
            ))}
        </Group>
      ))}
      <RailButton onPress={onSearch}>{say("shell.search")}</RailButton>
      <Foot>
        <Place to="/you">{me.name}</Place>
        {me.pin ? <RailButton onPress={onLock}>{say("shell.lock")}</RailButton> : null}
        <SignOut />
      </Foot>
    </Bar>
  );
}

function SignOut() {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const leave = async () => {
    await postAuth("logout", {}).catch(() => undefined);
    queryClient.clear();
    forgetAllKept();
    forgetAllUnsaved();
    await navigate("/sign-in");
  };
  return <RailButton onPress={() => void leave()}>{say("shell.signOut")}</RailButton>;
}
