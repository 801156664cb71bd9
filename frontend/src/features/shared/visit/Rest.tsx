// The rest between two sets, counted down; then how long it has been.
import { useEffect, useState } from "react";
import styled from "styled-components";
import { clock } from "../../../lib/pacer";
import { say } from "../../../lib/say";
import { signal, signalOn, turnSignal } from "../../../lib/signal";
import { Tick } from "../../../ui/Tick";
import { colour, font, size, space } from "../../../ui/tokens";

const Line = styled.div`
  display: grid;
  gap: ${space(1)};
  font-size: ${size.large};
  b {
    font-family: ${font.mark};
    font-size: ${size.title};
  }
  label {
    font-size: ${size.small};
  }
  progress {
    width: 100%;
    height: 0.5rem;
    accent-color: ${colour.action};
  }
`;
const TICK_MS = 500;

type Props = { since: string | null; seconds: number; over: boolean };

export function Rest({ since, seconds, over }: Props) {
  const [now, setNow] = useState(() => Date.now());
  const [loud, setLoud] = useState(signalOn);
  useEffect(() => {
    if (over) return;
    const timer = window.setInterval(() => setNow(Date.now()), TICK_MS);
    return () => window.clearInterval(timer);
  }, [over, since]);
  const left = since === null ? 0 : seconds - (now - Date.parse(since)) / 1000;
  const resting = left > 0;
  const told = !over && since !== null;
  useEffect(() => {
    // Once, when it runs out while somebody looks: not for one that was over when the page came.
    if (told && resting) return () => void (document.visibilityState === "visible" && signalAt(since, seconds));
    return undefined;
  }, [told, resting, since, seconds]);
  if (!told) return null;
  return (
    <Line data-rest={resting ? "resting" : "ready"}>
      <span role="timer" aria-label={say("rest.rest")}>
        {resting ? say("rest.restFor") : say("rest.readyFor")} <b>{clock(Math.min(Math.abs(left), seconds * 100))}</b>
      </span>
      <progress max={seconds} value={Math.min(seconds, Math.max(0, seconds - left))} aria-label={say("rest.rest")} />
      <Tick
        isSelected={loud}
        onChange={(on) => {
          turnSignal(on);
          setLoud(on);
        }}
      >
        {say("rest.signal")}
      </Tick>
    </Line>
  );
}

/** Only where the time is really over: a set that came meanwhile ends a rest too. */
function signalAt(since: string | null, seconds: number) {
  if (since !== null && Date.now() - Date.parse(since) >= seconds * 1000) signal();
}
