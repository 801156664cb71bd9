// What one load asks along a movement, over the slider that moves it: a line a joint, what goes slack shaded, and where it now is.
import styled from "styled-components";
import type { Effort } from "../api/types";
import { say } from "../lib/say";
import { colour } from "../ui/tokens";
import { valueAt } from "./valueAt";

const HEIGHT = 44;
/** How far past the client's own end the machine's is drawn. */
const FURTHEST = 1.4;
const LINES = [
  { stroke: colour.body, dash: undefined },
  { stroke: colour.machine, dash: "6 4" },
];

const Drawing = styled.svg<{ $width: number }>`
  position: absolute;
  left: 0;
  bottom: calc(100% - 6px);
  width: ${({ $width }) => $width * 100}%;
  height: ${HEIGHT}px;
  overflow: visible;
  pointer-events: none;
`;

/** Whose line it is, behind its end. */
const Name = styled.span<{ $at: number }>`
  position: absolute;
  left: calc(100% + 6px);
  bottom: calc(100% - 14px + ${({ $at }) => $at}px);
  color: ${colour.inkMuted};
  line-height: 1;
  pointer-events: none;
`;

type Props = { effort: Effort; share: number };

export function EffortTrack({ effort, share }: Props) {
  const points = effort.lines.flatMap(({ points }) => points);
  const upto = Math.min(FURTHEST, Math.max(1, ...points.map(([at = 0]) => at)));
  const most = Math.max(1, ...points.map(([, one = 0]) => one));
  const x = (at: number) => (Math.min(at, upto) / upto) * 100;
  const y = (one: number) => HEIGHT - (one / most) * (HEIGHT - 4);
  const path = (list: Effort["lines"][number]["points"]) =>
    list.map(([at = 0, one = 0]) => `${x(at)},${y(one)}`).join(" ");
  const slack = effort.slack_share;
  return (
    <>
      <Drawing
        $width={upto}
        viewBox={`0 0 100 ${HEIGHT}`}
        preserveAspectRatio="none"
        role="img"
        aria-label={inWords(effort)}
        data-effort-track
      >
        {slack !== null && slack < upto ? (
          <rect x={x(Math.max(slack, 0))} width={100 - x(Math.max(slack, 0))} height={HEIGHT} fill={colour.closeFill} />
        ) : null}
        <path d={`M0 ${HEIGHT}H100`} stroke={colour.lineStrong} vectorEffect="non-scaling-stroke" />
        {upto > 1 ? (
          <path
            d={`M${x(1)} 0V${HEIGHT}`}
            stroke={colour.lineStrong}
            strokeDasharray="3 3"
            vectorEffect="non-scaling-stroke"
          />
        ) : null}
        {effort.lines.map(({ joint, points }, index) => (
          <g key={joint} data-effort-of={joint}>
            <polyline
              points={path(points)}
              fill="none"
              stroke={LINES[index]?.stroke}
              strokeWidth="3"
              strokeDasharray={LINES[index]?.dash}
              vectorEffect="non-scaling-stroke"
            />
            <path
              d={`M${x(share)} ${y(valueAt(points, share))}h0`}
              stroke={colour.action}
              strokeWidth="12"
              strokeLinecap="round"
              vectorEffect="non-scaling-stroke"
            />
          </g>
        ))}
      </Drawing>
      {effort.lines.length > 1
        ? effort.lines.map(({ joint, points }) => (
            <Name key={joint} $at={HEIGHT - y(valueAt(points, 1))} aria-hidden="true">
              {joint}
            </Name>
          ))
        : null}
    </>
  );
}

/** Of a hundred, where it begins and where it ends. */
function inWords({ title, lines, slack_share: slack }: Effort) {
  const each = lines.map(({ joint, points }) =>
    say("effortTrack.line", { joint, from: hundredth(valueAt(points, 0)), upto: hundredth(valueAt(points, 1)) }),
  );
  return [title, ...each, slack === null ? "" : say("effortTrack.slack")].filter(Boolean).join(". ");
}

export const hundredth = (effort: number) => Math.round(effort * 100);
