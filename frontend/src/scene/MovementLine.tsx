// A set as a phone read it: where the arm was over time, the agreed arc behind it, under each repetition its range and its
// seconds. Another set may lie under it, paler.
import { scaleLinear } from "d3-scale";
import styled from "styled-components";
import type { ReadCurve, ReadSet } from "../api/types";
import { say } from "../lib/say";
import { colour, font } from "../ui/tokens";
import { Chart } from "./chart";

const Drawing = styled(Chart)`
  .seconds {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: 14px;
    fill: ${colour.ink};
  }
  [data-short="true"] {
    fill: ${colour.off};
  }
`;
const WIDTH = 500;
const LEFT = 8;
const RIGHT = 62;
const TOP = 16;
const BASE = 132;
/** Under the line: a row each for range and seconds. */
const FIRST = 24;
const NEXT = 19;
const HEIGHT = BASE + FIRST + 3 * NEXT + 8;
const HUNDRED = 100;
const LEAST = -10;
/** Seconds that stand at this share of the arc. */
const TENTH = 10;
/** Narrower than this, numbers would run into one another. */
const ROOM = 32;
const ROWS = [
  ["range", say("movementLine.range")],
  ["up_s", say("movementLine.up")],
  ["hold_s", say("movementLine.held")],
  ["down_s", say("movementLine.down")],
] as const;

type Repetition = ReadSet["repetitions"][number];
const told = (one: Repetition, row: (typeof ROWS)[number][0]) =>
  row === "range" ? String(Math.round(one.range * HUNDRED)) : (Math.round(one[row] * TENTH) / TENTH).toFixed(1);

type Props = {
  review: ReadSet;
  wholeShare: number;
  beside?: { name: string; curve: ReadCurve } | null;
};

export function MovementLine({ review, wholeShare, beside = null }: Props) {
  const { curve, repetitions } = review;
  const seconds = (one: ReadCurve) => one.step_s * Math.max(one.shares.length - 1, 1);
  const most = Math.max(HUNDRED, ...curve.shares, ...(beside?.curve.shares ?? []));
  const x = scaleLinear([0, Math.max(seconds(curve), beside ? seconds(beside.curve) : 0)], [LEFT, WIDTH - RIGHT]);
  const y = scaleLinear([Math.min(LEAST, ...curve.shares), most], [BASE, TOP]);
  const path = (one: ReadCurve) =>
    one.shares.map((share, index) => `${index === 0 ? "M" : "L"}${x(index * one.step_s)} ${y(share)}`).join("");
  const bumps = tops(curve, repetitions.length);
  const half = curve.step_s / 2;
  const crowded = bumps.length > 1 && (WIDTH - RIGHT - LEFT) / bumps.length < ROOM;
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={say("movementLine.inWords", {
        count: repetitions.length,
        whole: repetitions.filter(({ whole }) => whole).length,
      })}
      data-movement-line
    >
      <rect x={LEFT} width={WIDTH - LEFT - RIGHT} y={y(HUNDRED)} height={y(0) - y(HUNDRED)} fill={colour.panelQuiet} />
      <Level at={y(HUNDRED)} text={say("movementLine.end")} />
      <Level at={y(0)} text={say("movementLine.start")} />
      <path
        d={`M${LEFT} ${y(wholeShare * HUNDRED)}H${WIDTH - RIGHT}`}
        stroke={colour.inLine}
        strokeWidth="1.5"
        strokeDasharray="2 5"
      />
      {review.first_share < 1 && bumps[0] !== undefined ? (
        <path
          d={`M${LEFT} ${y(review.first_share * HUNDRED)}H${x((bumps[0] + (bumps[1] ?? curve.shares.length)) * half)}`}
          stroke={colour.inLine}
          strokeWidth="3"
          data-first-share
        />
      ) : null}
      {beside ? <path d={path(beside.curve)} fill="none" stroke={colour.bodyGhost} strokeWidth="2" /> : null}
      <path d={path(curve)} fill="none" stroke={colour.body} strokeWidth="3" strokeLinejoin="round" />
      {ROWS.map(([row, title], line) => (
        <g key={row}>
          <text x={WIDTH - RIGHT + 8} y={BASE + FIRST + line * NEXT}>
            {title}
          </text>
          {crowded
            ? null
            : bumps.map((at, index) => (
                <text
                  key={at}
                  className="seconds"
                  textAnchor="middle"
                  data-short={row === "range" && repetitions[index]?.whole === false}
                  x={x(at * curve.step_s)}
                  y={BASE + FIRST + line * NEXT}
                >
                  {repetitions[index] ? told(repetitions[index], row) : null}
                </text>
              ))}
        </g>
      ))}
    </Drawing>
  );
}

function Level({ at, text }: { at: number; text: string }) {
  return (
    <>
      <path d={`M${LEFT} ${at}H${WIDTH - RIGHT}`} stroke={colour.line} strokeWidth="1.5" />
      <text x={WIDTH - RIGHT + 8} y={at + 4}>
        {text}
      </text>
    </>
  );
}

/** Where each repetition is furthest: the places of the highest points, one a bump, in their order. */
export function tops({ shares }: ReadCurve, count: number): number[] {
  const DEEP = 12;
  const found: number[] = [];
  let best = 0;
  let rising = true;
  shares.forEach((share, index) => {
    const at = shares[best] ?? 0;
    if (rising ? share > at : share < at) best = index;
    else if (Math.abs(share - at) >= DEEP) {
      if (rising) found.push(best);
      rising = !rising;
      best = index;
    }
  });
  return found
    .toSorted((one, other) => (shares[other] ?? 0) - (shares[one] ?? 0))
    .slice(0, count)
    .toSorted((one, other) => one - other);
}
