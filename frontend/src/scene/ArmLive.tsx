// Where the arm is now on the agreed arc: a quarter of a circle from start to end, and a dot on it.
import styled from "styled-components";
import { say } from "../lib/say";
import { colour, font } from "../ui/tokens";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  max-width: 18rem;
  text {
    font-family: ${font.text};
    font-size: 13px;
    fill: ${colour.inkMuted};
  }
`;
const CENTRE = { x: 20, y: 20 };
const RADIUS = 150;
const WHOLE_DEG = 90;
const MOST = 1.1;
const HUNDRED = 100;

/** A share of the arc as a point: 0 straight down, 1 straight ahead. */
const at = (share: number, radius = RADIUS) => {
  const angle = ((1 - share) * WHOLE_DEG * Math.PI) / 180;
  return { x: CENTRE.x + radius * Math.cos(angle), y: CENTRE.y + radius * Math.sin(angle) };
};
const arc = (from: number, to: number) => {
  const [one, other] = [at(from), at(to)];
  return `M${one.x} ${one.y}A${RADIUS} ${RADIUS} 0 0 0 ${other.x} ${other.y}`;
};

type Props = {
  share: number | null;
  /** where it is to turn: from the one to the other */
  from: number;
  upto: number;
};

export function ArmLive({ share, from, upto }: Props) {
  const shown = Math.min(Math.max(share ?? 0, 0), MOST);
  const dot = at(shown);
  return (
    <Drawing
      viewBox="0 0 240 200"
      role="img"
      aria-label={say("armLive.at", { percent: Math.round(shown * HUNDRED) })}
      data-arm-live
    >
      <path d={arc(0, 1)} fill="none" stroke={colour.line} strokeWidth="10" strokeLinecap="round" />
      <path d={arc(from, upto)} fill="none" stroke={colour.inLine} strokeWidth="10" strokeLinecap="round" />
      {shown > 0 ? <path d={arc(0, shown)} fill="none" stroke={colour.body} strokeWidth="5" /> : null}
      <path d={`M${CENTRE.x} ${CENTRE.y}L${dot.x} ${dot.y}`} stroke={colour.machine} strokeWidth="6" />
      <circle cx={CENTRE.x} cy={CENTRE.y} r="6" fill={colour.pivot} />
      <circle cx={dot.x} cy={dot.y} r="13" fill={colour.body} stroke={colour.panel} strokeWidth="3" />
      <text x={CENTRE.x} y={CENTRE.y + RADIUS + 26} textAnchor="start">
        {say("movementLine.start")}
      </text>
      <text x={CENTRE.x + RADIUS + 18} y={CENTRE.y + 4}>
        {say("movementLine.end")}
      </text>
    </Drawing>
  );
}
