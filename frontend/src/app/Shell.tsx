// The frame round every place: the rail on the left, the place on the right, the search that opens anywhere with "/".
import { say } from "../lib/say";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Suspense, useEffect, useState } from "react";
import { Navigate, NavLink, Outlet, useLocation, useNavigate } from "react-router";
import styled from "styled-components";
import { postAuth, Refused, SIGNED_OUT } from "../api/client";
import { meQuery } from "../api/queries";
import { QuietButton } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { breakpoint, colour, font, size, space, target } from "../ui/tokens";
import { LockScreen } from "../features/tablet/LockScreen";
import { TabletContext } from "../features/shared/TabletContext";
import { useTabletLock } from "../features/tablet/useTabletLock";
import { forgetAllUnsaved } from "../lib/unsaved";
import { forgetAllKept } from "../ui/useKept";
import { fetchAllPages } from "./lazyPage";
import { Logo } from "../ui/Logo";
import { PageBoundary } from "./PageBoundary";
import { Search } from "./Search";
import { ShortcutsHelp } from "./ShortcutsHelp";
import { useShortcut } from "../ui/useShortcut";

type Link = readonly [to: string, name: string];
/** The places, each with those that lie in it. */
const PLACES: readonly (readonly [...Link, within: readonly Link[]])[] = [
  ["/", say("shell.floor"), [["/refits", say("shell.refits")]]],
  ["/clients", say("shell.clients"), [["/board", say("shell.board")]]],
  ["/machines", say("shell.machines"), []],
  ["/sessions", say("shell.sessions"), []],
  [
    "/rules",
    say("shell.houseRules"),
    [
      ["/gym", say("shell.gym")],
      ["/gym/exchange", say("shell.data")],
      ["/gym/audit", say("shell.trail")],
    ],
  ],
];

const Frame = styled.div`
  display: grid;
  grid-template-columns: 5.5rem minmax(0, 1fr);
  min-height: 100vh;
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto 1fr;
  }
`;

const Rail = styled.nav`
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

const SkipLink = styled.a`
  position: absolute;
  left: -999px;
  &:focus {
    left: ${space(2)};
    top: ${space(2)};
    z-index: 10;
    padding: ${space(3)};
    background: ${colour.panel};
  }
`;

/** The first page has the line to itself so long. */
const FIRST_MS = 1500;

export function Shell() {
  const me = useQuery(meQuery);
  const location = useLocation();
  const [searching, setSearching] = useState(false);
  const [helping, setHelping] = useState(false);
  const tablet = useTabletLock(me.data?.pin ?? false);
  const queryClient = useQueryClient();
  useEffect(() => {
    // The session ended while somebody worked: sign in again, and go on where it was left.
    const ended = () => void queryClient.invalidateQueries({ queryKey: meQuery.queryKey });
    window.addEventListener(SIGNED_OUT, ended);
    return () => window.removeEventListener(SIGNED_OUT, ended);
  }, [queryClient]);
  const known = me.data !== undefined;
  useEffect(() => {
    if (!known) return;
    const ended = new AbortController();
    const timer = window.setTimeout(() => void fetchAllPages(ended.signal), FIRST_MS);
    return () => {
      window.clearTimeout(timer);
      ended.abort();
    };
  }, [known]);
  useShortcut("/", () => setSearching(true));
  useShortcut("?", () => setHelping(true));

  if (me.error instanceof Refused && me.error.status === 401 && me.error.error.code !== "tablet_locked")
    return <Navigate to="/sign-in" state={{ from: location.pathname }} replace />;
  if (me.error && tablet.lock === null && !(me.error instanceof Refused && me.error.status === 401))
    return <Notice tone="wrong">{say("shell.theServerWasNotReached")}</Notice>;

  const locked = tablet.lock ? <LockScreen shown={tablet.lock.shown} onOpened={tablet.opened} /> : null;
  if (!me.data) return locked;

  return (
    <TabletContext value={{ lock: tablet.lockNow, handOver: tablet.handOver }}>
      {locked}
      <Frame
        hidden={locked !== null}
        data-locked={locked ? "" : undefined}
        style={locked ? { display: "none" } : undefined}
      >
        <SkipLink href="#place">{say("shell.toThePage")}</SkipLink>
        <Rail aria-label={say("shell.places")}>
          <Mark>
            <Logo />
          </Mark>
          {PLACES.map(([to, name, within]) => (
            <Group key={to}>
              <Place to={to} end={to === "/"}>
                {name}
              </Place>
              {within.map(([inner, title]) => (
                <Inner key={inner} to={inner} end>
                  {title}
                </Inner>
              ))}
            </Group>
          ))}
          <RailButton onPress={() => setSearching(true)}>{say("shell.search")}</RailButton>
          <Foot>
            <Place to="/pin">{me.data.name}</Place>
            {me.data.pin ? <RailButton onPress={tablet.lockNow}>{say("shell.lock")}</RailButton> : null}
            <SignOut />
          </Foot>
        </Rail>
        {/* Whoever takes the tablet over begins with pages of their own: what another left unsaved stays theirs. */}
        <div id="place" key={me.data.id}>
          {/* Around all of them: a place that has to be fetched leaves the last one standing until it is there. */}
          <Suspense fallback={null}>
            <PageBoundary key={location.pathname}>
              <Outlet />
            </PageBoundary>
          </Suspense>
        </div>
        <Search isOpen={searching && locked === null} onClose={() => setSearching(false)} />
        <ShortcutsHelp isOpen={helping && locked === null} onClose={() => setHelping(false)} />
      </Frame>
    </TabletContext>
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
