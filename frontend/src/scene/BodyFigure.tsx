// A client's body at a glance: the seated figure with the lengths that decide a fitting, taped ones firm, estimated ones dotted.
import { say } from "../lib/say";
import styled from "styled-components";
import type { Dimension } from "../api/types";
import { type LengthUnit, lengthText } from "../lib/lengths";
import { colour, font } from "../ui/tokens";
import { type Point, xy } from "./geometry";
import { Limbs } from "./Limbs";
import { lengthsOf, seated } from "./postures";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  text {
    font-family: ${font.mark};
    word-spacing: -0.3em;
    font-weight: ${font.strong};
    font-size: 33px;
    fill: ${colour.ink};
  }
  .name {
    font-family: ${font.text};
    word-spacing: normal;
    font-weight: ${font.regular};
    font-size: 30px;
    fill: ${colour.inkMuted};
  }
`;

/** Firm where taped, dashed where learned from a fitting, dotted where estimated. */
const DASHES = { taped: undefined, learned: "22 12", estimated: "4 11" };

type Line = { name: string; from: Point; to: Point; label: Point };
const SDS_90 = 1.645;

export function BodyFigure({ body, unit }: { body: Dimension[]; unit: LengthUnit }) {
  const at = lengthsOf(body);
  const { knee, hip, ankle, half, seat, limbs, neckAndHead } = seated(at);
  const height = seat + at("stature") * 0.56;
  const lines: Line[] = [
    { name: "thigh", from: hip, to: knee, label: [2 * half + 30, knee[1] + 152] },
    { name: "shank", from: knee, to: ankle, label: [knee[0] + 84, (knee[1] + ankle[1]) / 2 + 30] },
    {
      name: "torso",
      from: hip,
      to: [hip[0] - 20, hip[1] + at("torso")],
      label: [2 * half + 30, hip[1] + at("torso") * 0.62],
    },
    { name: "hip_depth", from: [0, seat - 46], to: [hip[0], seat - 46], label: [-6, seat - 120] },
  ];
  return (
    <Drawing viewBox={`-60 ${-height} 960 ${height + 20}`} role="img" aria-label={say("bodyFigure.name")}>
      <path d="M-60 0H900" stroke={colour.line} strokeWidth="4" />
      <Limbs paths={[...neckAndHead, ...limbs]} width={7} />
      {lines.map((line) => (
        <Length key={line.name} line={line} dimension={body.find(({ name }) => name === line.name)} unit={unit} />
      ))}
    </Drawing>
  );
}

function Length({ line, dimension, unit }: { line: Line; dimension: Dimension | undefined; unit: LengthUnit }) {
  if (!dimension) return null;
  return (
    <g>
      <path
        d={`M${xy(line.from)}L${xy(line.to)}`}
        stroke={colour.ink}
        strokeWidth="5"
        strokeDasharray={DASHES[dimension.source]}
        strokeLinecap="round"
      />
      {[line.from, line.to].map((end, index) => (
        <circle key={index} cx={end[0]} cy={-end[1]} r="11" fill={colour.body} stroke={colour.panel} strokeWidth="4" />
      ))}
      <text x={line.label[0]} y={-line.label[1]}>
        {lengthText(dimension.mm, unit)}
      </text>
      <text className="name" x={line.label[0]} y={-line.label[1] + 36}>
        {dimension.title} ± {lengthText(dimension.sd_mm * SDS_90, unit)}
      </text>
    </g>
  );
}
