// The frame round every place: the rail on the left, the place on the right, the search that opens anywhere with "/".
import { say } from "../lib/say";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Suspense, useEffect, useState } from "react";
import { Navigate, Outlet, useLocation } from "react-router";
import styled from "styled-components";
import { Refused, SIGNED_OUT } from "../api/client";
import { meQuery } from "../api/queries";
import { Notice } from "../ui/Notice";
import { part } from "../ui/part";
import { breakpoint, colour, space } from "../ui/tokens";
import { TabletContext } from "../features/shared/TabletContext";
import { renewIfNewer } from "../lib/newer";
import { useTabletLock } from "../features/tablet/useTabletLock";
import { fetchAllPages } from "./lazyPage";
import { PageBoundary } from "./PageBoundary";
import { Rail } from "./Rail";
import { useShortcut } from "../ui/useShortcut";

const Frame = styled.div`
  display: grid;
  grid-template-columns: 5.5rem minmax(0, 1fr);
  min-height: 100vh;
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto 1fr;
  }
  @media print {
    display: block;
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

const LockScreen = part(() => import("../features/tablet/LockScreen").then(({ LockScreen }) => LockScreen));
const Search = part(() => import("./Search").then(({ Search }) => Search));
const ShortcutsHelp = part(() => import("./ShortcutsHelp").then(({ ShortcutsHelp }) => ShortcutsHelp));

/** Until it is known how the gym has it. */
const IDLE_MINUTES = 5;
/** The first page has the line to itself so long. */
const FIRST_MS = 1500;

export function Shell() {
  const me = useQuery(meQuery);
  const location = useLocation();
  const [searching, setSearching] = useState(false);
  const [helping, setHelping] = useState(false);
  const tablet = useTabletLock(me.data?.pin ?? false, me.data?.gym.idle_minutes ?? IDLE_MINUTES);
  const queryClient = useQueryClient();
  useEffect(() => renewIfNewer(), [location.pathname]);
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
    return <Notice tone="wrong">{say("shell.unreached")}</Notice>;

  // What lay open is out of sight before the lock itself is there.
  const locked = tablet.lock ? (
    <Suspense fallback={null}>
      <LockScreen shown={tablet.lock.shown} onOpened={tablet.opened} />
    </Suspense>
  ) : null;
  if (!me.data) return locked;

  return (
    <TabletContext value={{ lock: tablet.lockNow, handOver: tablet.handOver }}>
      {locked}
      <Frame
        hidden={locked !== null}
        data-locked={locked ? "" : undefined}
        style={locked ? { display: "none" } : undefined}
      >
        <SkipLink href="#place">{say("shell.skipLink")}</SkipLink>
        <Rail me={me.data} onSearch={() => setSearching(true)} onLock={tablet.lockNow} />
        {/* Whoever takes the tablet over begins with pages of their own: what another left unsaved stays theirs. */}
        <div id="place" key={me.data.id}>
          {/* Around all of them: a place that has to be fetched leaves the last one standing until it is there. */}
          <Suspense fallback={null}>
            <PageBoundary key={location.pathname}>
              <Outlet />
            </PageBoundary>
          </Suspense>
        </div>
        <Suspense fallback={null}>
          {searching && locked === null ? <Search isOpen onClose={() => setSearching(false)} /> : null}
          {helping && locked === null ? <ShortcutsHelp isOpen onClose={() => setHelping(false)} /> : null}
        </Suspense>
      </Frame>
    </TabletContext>
  );
}
