// What bodies asked of a length against where it stood when it was accepted: a dot a fitting, on the line where the tape
// is right.
import { scaleLinear } from "d3-scale";
import styled from "styled-components";
import type { MachineError } from "../api/types";
import { say } from "../lib/say";
import { colour, font } from "../ui/tokens";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  max-width: 26rem;
  text {
    font-family: ${font.text};
    font-size: 14px;
    fill: ${colour.ink};
  }
  .tick {
    font-family: ${font.mark};
    font-size: 13px;
    fill: ${colour.inkMuted};
  }
`;
const WIDTH = 400;
const HEIGHT = 260;
const LEFT = 60;
const FOOT = 44;
const TOP = 24;
/** Around the outermost dots, mm. */
const ROOM = 15;

export function RequiredAccepted({ error }: { error: MachineError }) {
  const { fits, bias_mm, corrected } = error;
  const all = fits.flatMap(({ required_mm, accepted_mm }) => [required_mm, accepted_mm]);
  const ends = [Math.min(...all) - ROOM, Math.max(...all) + ROOM];
  const x = scaleLinear()
    .domain(ends)
    .range([LEFT, WIDTH - 8]);
  const y = scaleLinear()
    .domain(ends)
    .range([HEIGHT - FOOT, TOP]);
  const [from = 0, upto = 0] = ends;
  const line = (by: number) => `M${x(from)} ${y(from + by)}L${x(upto)} ${y(upto + by)}`;
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={say("requiredAccepted.name", { title: error.title, count: fits.length, says: error.says })}
    >
      <clipPath id={`frame ${error.exercise} ${error.constant}`}>
        <rect x={LEFT} y={TOP} width={WIDTH - 8 - LEFT} height={HEIGHT - FOOT - TOP} />
      </clipPath>
      {x.ticks(4).map((tick) => (
        <g key={tick}>
          <path d={`M${x(tick)} ${TOP}V${HEIGHT - FOOT}M${LEFT} ${y(tick)}H${WIDTH - 8}`} stroke={colour.line} />
          <text className="tick" x={x(tick)} y={HEIGHT - FOOT + 18} textAnchor="middle">
            {tick}
          </text>
          <text className="tick" x={LEFT - 6} y={y(tick) + 4} textAnchor="end">
            {tick}
          </text>
        </g>
      ))}
      <g clipPath={`url(#${CSS.escape(`frame ${error.exercise} ${error.constant}`)})`}>
        <path d={line(0)} stroke={colour.lineStrong} strokeWidth="2" fill="none" />
        {corrected === null ? null : (
          <path d={line(bias_mm)} stroke={colour.action} strokeWidth="2" strokeDasharray="6 4" fill="none" />
        )}
        {fits.map(({ required_mm, accepted_mm, lately }, index) => (
          <circle
            key={index}
            cx={x(accepted_mm)}
            cy={y(required_mm)}
            r="5"
            fill={lately ? colour.panel : colour.machine}
            stroke={colour.machine}
            strokeWidth="2"
          />
        ))}
      </g>
      <text x={WIDTH - 8} y={HEIGHT - 6} textAnchor="end">
        {say("requiredAccepted.accepted")}
      </text>
      <text x="0" y="14">
        {say("requiredAccepted.required")}
      </text>
    </Drawing>
  );
}
