// The frame round every place: the rail on the left, the place on the right, the search that opens anywhere with "/".
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Navigate, NavLink, Outlet, useLocation, useNavigate } from "react-router";
import styled from "styled-components";
import { postAuth, Refused } from "../api/client";
import { meQuery } from "../api/queries";
import { QuietButton } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { breakpoint, colour, font, size, space, target } from "../ui/tokens";
import { forgetAllKept } from "../ui/useKept";
import { Search } from "./Search";
import { ShortcutsHelp } from "./ShortcutsHelp";
import { useShortcut } from "./useShortcut";

const PLACES = [
  ["/", "Floor"],
  ["/clients", "Clients"],
  ["/machines", "Machines"],
  ["/sessions", "Sessions"],
  ["/rules", "House rules"],
] as const;

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

export function Shell() {
  const me = useQuery(meQuery);
  const location = useLocation();
  const [searching, setSearching] = useState(false);
  const [helping, setHelping] = useState(false);
  useShortcut("/", () => setSearching(true));
  useShortcut("?", () => setHelping(true));

  if (me.error instanceof Refused && me.error.status === 401)
    return <Navigate to="/sign-in" state={{ from: location.pathname }} replace />;
  if (me.error)
    return <Notice tone="wrong">The server was not reached. It is tried again by itself; nothing is lost.</Notice>;
  if (!me.data) return null;

  return (
    <Frame>
      <SkipLink href="#place">To the page</SkipLink>
      <Rail aria-label="Places">
        <Mark>
          <Logo />
        </Mark>
        {PLACES.map(([to, name]) => (
          <Place key={to} to={to} end={to === "/"}>
            {name}
          </Place>
        ))}
        <RailButton onPress={() => setSearching(true)}>Search&nbsp;/</RailButton>
        <Foot>
          <span>{me.data.name}</span>
          <SignOut />
        </Foot>
      </Rail>
      <div id="place">
        <Outlet />
      </div>
      <Search isOpen={searching} onClose={() => setSearching(false)} />
      <ShortcutsHelp isOpen={helping} onClose={() => setHelping(false)} />
    </Frame>
  );
}

function SignOut() {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const leave = async () => {
    await postAuth("logout", {}).catch(() => undefined);
    queryClient.clear();
    forgetAllKept();
    await navigate("/sign-in");
  };
  return <RailButton onPress={() => void leave()}>Sign out</RailButton>;
}

/** Two strokes: a pane of ice and a lever. */
export function Logo({ width = 40 }: { width?: number }) {
  return (
    <svg width={width} viewBox="0 0 44 30" role="img" aria-label="Verglas">
      <path d="M4 4l11 22L26 4" fill="none" stroke={colour.railMark} strokeWidth="4" strokeLinejoin="bevel" />
      <path d="M28 26L40 4" stroke={colour.railActive} strokeWidth="3" />
      <circle cx="28" cy="26" r="3.2" fill={colour.railActive} />
    </svg>
  );
}

/** Focus the page's heading on a change of place, so that a screen reader starts there. */
export function useTitle(title: string) {
  useEffect(() => {
    document.title = `${title} · Verglas`;
  }, [title]);
}
