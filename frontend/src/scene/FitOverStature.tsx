// Who fits a machine: a dot a client over stature, a row a band, in the bands' own shapes. No names.
import { say } from "../lib/say";
import { scaleLinear } from "d3-scale";
import styled from "styled-components";
import type { Band, Population } from "../api/types";
import { BandShape } from "../ui/Band";
import { colour, font } from "../ui/tokens";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  text {
    font-family: ${font.text};
    font-size: 13px;
    fill: ${colour.ink};
  }
  .tick {
    font-family: ${font.mark};
    fill: ${colour.inkMuted};
  }
`;

const BANDS: readonly (readonly [Band, string])[] = [
  ["in line", say("fitOverStature.inLine")],
  ["close", say("fitOverStature.close")],
  ["off", say("fitOverStature.off")],
  ["fault", say("fitOverStature.unfit")],
];
const WIDTH = 640;
const LEFT = 128;
const ROW = 34;
const DOT = 11;

/** Dots of one band that would lie on one another are stacked a little. */
function stacked(statures: number[], x: (mm: number) => number) {
  const taken: { at: number; level: number }[] = [];
  return [...statures]
    .sort((one, other) => one - other)
    .map((stature) => {
      const at = x(stature);
      const near = taken.filter((dot) => Math.abs(dot.at - at) < DOT).map(({ level }) => level);
      const level = [0, 1, 2].find((free) => !near.includes(free)) ?? 2;
      taken.push({ at, level });
      return { at, level };
    });
}

export function FitOverStature({ population }: { population: Population }) {
  const { people } = population;
  const statures = people.map(({ stature_mm }) => stature_mm);
  const x = scaleLinear()
    .domain([Math.min(1450, ...statures), Math.max(2000, ...statures)])
    .nice()
    .range([LEFT, WIDTH - 16]);
  const height = BANDS.length * ROW + 34;
  const counts = BANDS.map(([band, name]) => `${people.filter(({ grade }) => grade === band).length} ${name}`);
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={say("fitOverStature.counted", { count: people.length, counts: counts.join(", ") })}
    >
      {x.ticks(6).map((tick) => (
        <g key={tick}>
          <path d={`M${x(tick)} 0V${BANDS.length * ROW}`} stroke={colour.line} />
          <text className="tick" x={x(tick)} y={height - 14} textAnchor="middle">
            {tick / 10}
          </text>
        </g>
      ))}
      <text className="tick" x="0" y={height - 14}>
        {say("fitOverStature.heightCm")}
      </text>
      {BANDS.map(([band, name], row) => {
        const here = people.filter(({ grade }) => grade === band).map(({ stature_mm }) => stature_mm);
        const base = row * ROW + ROW / 2;
        return (
          <g key={band}>
            <path d={`M${LEFT} ${base + 10}H${WIDTH - 8}`} stroke={colour.line} />
            <text x="0" y={base + 5}>
              {here.length} {name}
            </text>
            {stacked(here, x).map((dot, index) => (
              <g key={index} transform={`translate(${dot.at - DOT / 2} ${base - DOT / 2 + 3 - dot.level * 7})`}>
                <BandShape band={band} diameter={DOT} />
              </g>
            ))}
          </g>
        );
      })}
    </Drawing>
  );
}
