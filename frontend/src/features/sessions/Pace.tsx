// How far the session is, and whether it keeps to its plan; the clock goes on between two looks at the server.
import styled from "styled-components";
import type { Session } from "../../api/types";
import { clock } from "../../lib/pacer";
import { say } from "../../lib/say";
import { useNow } from "../../lib/useNow";
import { colour, font, size, space } from "../../ui/tokens";

const Line = styled.div`
  display: flex;
  align-items: center;
  gap: ${space(4)};
  b {
    font-family: ${font.mark};
    font-size: ${size.title};
  }
  progress {
    flex: 1;
    height: 0.75rem;
    accent-color: ${colour.action};
  }
`;
const TICK_MS = 1000;
/** Within so many seconds it keeps to its plan. */
const NEAR_S = 60;

const paceText = (ahead: number): string => {
  if (Math.abs(ahead) < NEAR_S) return say("pace.onTime");
  const minutes = Math.round(Math.abs(ahead) / 60);
  return ahead > 0 ? say("pace.ahead", { minutes }) : say("pace.behind", { minutes });
};

type Props = { session: Session; /** when it came, by this device's clock */ came: number };

export function Pace({ session, came }: Props) {
  const since = Math.max(0, (useNow(TICK_MS) - came) / 1000);
  const elapsed = session.elapsed_s + since;
  const whole = session.minutes * 60;
  return (
    <Line data-pace>
      <b role="timer" aria-label={say("pace.elapsed")}>
        {clock(elapsed)}
      </b>
      <progress max={whole} value={Math.min(elapsed, whole)} aria-label={say("pace.whole")} />
      <span>{say("pace.of", { minutes: session.minutes })}</span>
      <span>{paceText(session.ahead_s - since)}</span>
    </Line>
  );
}
