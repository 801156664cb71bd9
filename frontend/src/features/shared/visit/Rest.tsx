// The rest between two sets, counted down; then how long it has been.
import { useEffect, useState } from "react";
import styled from "styled-components";
import { clock } from "../../../lib/pacer";
import { say } from "../../../lib/say";
import { font, size } from "../../../ui/tokens";

const Line = styled.p`
  font-size: ${size.large};
  b {
    font-family: ${font.mark};
    font-size: ${size.title};
  }
`;
const TICK_MS = 500;

type Props = { since: string | null; seconds: number; over: boolean };

export function Rest({ since, seconds, over }: Props) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (over) return;
    const timer = window.setInterval(() => setNow(Date.now()), TICK_MS);
    return () => window.clearInterval(timer);
  }, [over, since]);
  if (over || since === null) return null;
  const left = seconds - (now - Date.parse(since)) / 1000;
  return (
    <Line role="timer" aria-label={say("rest.rest")} data-rest={left > 0 ? "resting" : "ready"}>
      {left > 0 ? say("rest.restFor") : say("rest.readyFor")} <b>{clock(Math.min(Math.abs(left), seconds * 100))}</b>
    </Line>
  );
}
