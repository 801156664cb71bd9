// A client's body at a glance: the seated figure with the lengths that decide a fitting, taped ones firm, estimated ones dashed.
import styled from "styled-components";
import type { Dimension } from "../api/types";
import { type LengthUnit, lengthText } from "../model/lengths";
import { colour, font } from "../ui/tokens";
import { capsule, type Point, xy } from "./geometry";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  text {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: 33px;
    fill: ${colour.ink};
  }
  .name {
    font-family: ${font.text};
    font-weight: ${font.regular};
    font-size: 30px;
    fill: ${colour.inkMuted};
  }
`;

type Props = { body: Dimension[]; unit: LengthUnit };

export function BodyFigure({ body, unit }: Props) {
  const of = (name: string) => body.find((dimension) => dimension.name === name);
  const mm = (name: string) => of(name)?.mm ?? 0;
  const knee: Point = [mm("hip_depth") + mm("thigh"), mm("ankle_height") + mm("shank")];
  const hip: Point = [mm("hip_depth"), knee[1] - mm("knee_under") + mm("hip_rise")];
  const ankle: Point = [knee[0], mm("ankle_height")];
  const half = mm("hip_depth") * 0.86;
  const limbs = [
    capsule([half, hip[1] + half - mm("hip_rise")], half, [half, hip[1] + mm("torso") * 0.93], half * 0.9),
    capsule([half + 6, hip[1] + mm("torso")], 46, [half + 12, hip[1] + mm("torso") + mm("stature") * 0.06], 42),
    capsule(
      [half + 14, hip[1] + mm("torso") + mm("stature") * 0.1],
      mm("stature") * 0.052,
      [half + 15, hip[1] + mm("torso") + mm("stature") * 0.125],
      mm("stature") * 0.052,
    ),
    capsule(hip, mm("hip_rise"), knee, mm("knee_top")),
    capsule(knee, mm("knee_front") * 0.9, ankle, mm("calf_half") * 0.78),
    capsule([ankle[0] - 30, 27], 27, [ankle[0] + mm("foot") * 0.62, 17], 17),
  ];
  const seat = knee[1] - mm("knee_under");
  const lines: { name: string; from: Point; to: Point; label: Point; anchor: "start" }[] = [
    { name: "thigh", from: hip, to: knee, label: [2 * half + 30, knee[1] + 152], anchor: "start" },
    { name: "shank", from: knee, to: ankle, label: [knee[0] + 84, (knee[1] + ankle[1]) / 2 + 30], anchor: "start" },
    {
      name: "torso",
      from: hip,
      to: [hip[0] - 20, hip[1] + mm("torso")],
      label: [2 * half + 30, hip[1] + mm("torso") * 0.62],
      anchor: "start",
    },
    { name: "hip_depth", from: [0, seat - 46], to: [hip[0], seat - 46], label: [-6, seat - 120], anchor: "start" },
  ];
  return (
    <Drawing
      viewBox={`-60 ${-(seat + mm("stature") * 0.56)} 960 ${seat + mm("stature") * 0.56 + 20}`}
      role="img"
      aria-label="The body as far as it is known"
    >
      <path d="M-60 0H900" stroke={colour.line} strokeWidth="4" />
      {limbs.map((limb, index) => (
        <path key={`outline ${index}`} d={limb} stroke={colour.body} strokeWidth="7" fill="none" />
      ))}
      {limbs.map((limb, index) => (
        <path key={`filling ${index}`} d={limb} fill={colour.bodyFill} />
      ))}
      {lines.map((line) => {
        const dimension = of(line.name);
        if (!dimension) return null;
        return (
          <g key={line.name}>
            <path
              d={`M${xy(line.from)}L${xy(line.to)}`}
              stroke={colour.ink}
              strokeWidth="5"
              strokeDasharray={dimension.source === "taped" ? undefined : "4 11"}
              strokeLinecap="round"
            />
            {[line.from, line.to].map((end, index) => (
              <circle
                key={index}
                cx={end[0]}
                cy={-end[1]}
                r="11"
                fill={colour.body}
                stroke={colour.panel}
                strokeWidth="4"
              />
            ))}
            <text x={line.label[0]} y={-line.label[1]} textAnchor={line.anchor}>
              {lengthText(dimension.mm, unit)}
            </text>
            <text className="name" x={line.label[0]} y={-line.label[1] + 36} textAnchor={line.anchor}>
              {dimension.title} ± {lengthText(dimension.sd_mm * 1.645, unit)}
            </text>
          </g>
        );
      })}
    </Drawing>
  );
}
