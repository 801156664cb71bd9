// How long the round still lasts: the work, then the change.
import styled from "styled-components";
import type { Circle } from "../../api/types";
import { clock } from "../../lib/pacer";
import { say } from "../../lib/say";
import { useNow } from "../../lib/useNow";
import { colour, font, size, space } from "../../ui/tokens";

const Frame = styled.span`
  margin-left: auto;
  display: grid;
  justify-items: end;
  b {
    font-family: ${font.mark};
    font-size: 5rem;
    line-height: 0.9;
  }
  small {
    color: ${colour.inkMuted};
    font-size: ${size.small};
    margin-top: ${space(1)};
  }
`;
const TICK_MS = 250;

type Props = { circle: Circle; /** when it came, by this device's clock */ came: number };

export function RoundClock({ circle, came }: Props) {
  // The server's clock counts; this device's only goes on from it.
  const now = useNow(TICK_MS);
  const elapsed = (Date.parse(circle.at ?? "") + now - came - Date.parse(circle.round_at ?? "")) / 1000;
  const left = Math.ceil(circle.work_s - elapsed);
  const over = left <= 0;
  return (
    <Frame data-round-clock>
      <b role="timer" aria-label={over ? say("roundClock.change") : say("roundClock.left")}>
        {clock(Math.abs(left))}
      </b>
      <small>
        {over
          ? say("roundClock.changing", { round: circle.round, rounds: circle.rounds.length })
          : say("roundClock.working", { round: circle.round, rounds: circle.rounds.length })}
      </small>
    </Frame>
  );
}
