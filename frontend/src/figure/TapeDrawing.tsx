// Where the tape goes, for each way of taping: a person from their own expected dimensions, the tape between its two ends.
import styled from "styled-components";
import type { Dimension, ObservationName } from "../api/types";
import { colour } from "../ui/tokens";
import { add, capsule, type Point, xy } from "./geometry";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
`;

type Mm = Record<string, number>;
type Posture = {
  stool: { height: number; front: number } | null;
  limbs: string[];
  tape: [Point, Point];
  wall: number | null;
  frame: [number, number, number, number];
};

const STANDING: readonly ObservationName[] = ["stature", "floor_to_hip", "floor_to_shoulder"];

/** Seated against a wall at s = 0, floor at n = 0, shin upright. */
function seated(mm: Mm) {
  const at = (name: string) => mm[name] ?? 0;
  const knee: Point = [at("hip_depth") + at("thigh"), at("ankle_height") + at("shank")];
  const hip: Point = [at("hip_depth"), knee[1] - at("knee_under") + at("hip_rise")];
  const ankle: Point = [knee[0], at("ankle_height")];
  const half = at("hip_depth") * 0.86;
  const waist: Point = [half, hip[1] + half - at("hip_rise")];
  const shoulder: Point = [half, hip[1] + at("torso") * 0.93];
  const limbs = [
    capsule(waist, half, shoulder, half * 0.9),
    capsule(hip, at("hip_rise"), knee, at("knee_top")),
    capsule(knee, at("knee_front") * 0.9, ankle, at("calf_half") * 0.78),
    capsule([ankle[0] - 30, 27], 27, [ankle[0] + at("foot") * 0.62, 17], 17),
  ];
  const stool = { height: knee[1] - at("knee_under"), front: knee[0] - at("knee_back") - 70 };
  return { knee, hip, ankle, limbs, stool };
}

function standing(mm: Mm) {
  const at = (name: string) => mm[name] ?? 0;
  const ankle: Point = [0, at("ankle_height")];
  const knee: Point = [0, at("ankle_height") + at("shank")];
  const hip: Point = [0, knee[1] + at("thigh")];
  const shoulder: Point = [0, hip[1] + at("torso")];
  const head: Point = [8, at("stature") * 0.948 - 30];
  const limbs = [
    capsule([-30, 25], 25, [at("foot") * 0.62, 16], 16),
    capsule(ankle, at("calf_half") * 0.78, knee, at("knee_front") * 0.9),
    capsule(knee, at("knee_front") * 0.95, hip, at("hip_rise") * 0.95),
    capsule(hip, at("hip_rise"), [0, shoulder[1] - 78], 84),
    capsule(head, at("stature") * 0.052, add(head, [2, 30]), at("stature") * 0.052),
  ];
  return { hip, shoulder, limbs };
}

function posture(name: ObservationName, mm: Mm): Posture {
  const at = (key: string) => mm[key] ?? 0;
  if (STANDING.includes(name)) {
    const { hip, shoulder, limbs } = standing(mm);
    const top = { stature: at("stature"), floor_to_hip: hip[1], floor_to_shoulder: shoulder[1] }[name as string] ?? 0;
    return {
      stool: null,
      limbs,
      tape: [
        [-170, 0],
        [-170, top],
      ],
      wall: null,
      frame: [-420, -1.06 * at("stature"), 840, 1.12 * at("stature")],
    };
  }
  const { knee, hip, ankle, limbs, stool } = seated(mm);
  const tapes: Partial<Record<ObservationName, [Point, Point]>> = {
    seat_to_kneecap: [
      [0, knee[1]],
      [knee[0] + at("knee_front"), knee[1]],
    ],
    seat_to_crease: [
      [0, knee[1] - 14],
      [knee[0] - at("knee_back"), knee[1] - 14],
    ],
    floor_to_knee_top: [
      [knee[0] + 96, 0],
      [knee[0] + 96, knee[1] + at("knee_top")],
    ],
    floor_to_crease: [
      [knee[0] - at("knee_back") - 44, 0],
      [knee[0] - at("knee_back") - 44, knee[1] - at("knee_under")],
    ],
    knee_to_ankle: [knee, ankle],
    hip_to_knee: [hip, knee],
    heel_to_toe: [
      [ankle[0] - 57, 46],
      [ankle[0] - 57 + at("foot"), 46],
    ],
    thigh_depth: [
      [knee[0] - 150, knee[1] + at("knee_top")],
      [knee[0] - 158, knee[1] + at("knee_top") - at("thigh_depth")],
    ],
  };
  return { stool, limbs, tape: tapes[name] ?? [knee, ankle], wall: 0, frame: [-130, -960, 1000, 1010] };
}

export function TapeDrawing({ name, body, title }: { name: ObservationName; body: Dimension[]; title: string }) {
  const mm = Object.fromEntries(body.map((dimension) => [dimension.name, dimension.mm]));
  const { stool, limbs, tape, wall, frame } = posture(name, mm);
  const [a, b] = tape;
  return (
    <Drawing viewBox={frame.join(" ")} role="img" aria-label={`Where the tape goes: ${title}`} data-figure="tape">
      <path d={`M${frame[0]} 0H${frame[0] + frame[2]}`} stroke={colour.lineStrong} strokeWidth="5" />
      {wall === null ? null : <path d={`M${wall} 0V${frame[1]}`} stroke={colour.lineStrong} strokeWidth="9" />}
      {stool ? (
        <g fill={colour.machineFill} stroke={colour.machine} strokeWidth="5">
          <rect x="10" y={-stool.height} width={stool.front - 10} height="44" rx="8" />
          <path d={`M60 ${-stool.height + 44}V0M${stool.front - 50} ${-stool.height + 44}V0`} strokeWidth="12" />
        </g>
      ) : null}
      <defs>
        <linearGradient id="rising" x1="0" y1={frame[1]} x2="0" y2={frame[1] + 260} gradientUnits="userSpaceOnUse">
          <stop offset="0" stopColor="white" stopOpacity="0" />
          <stop offset="1" stopColor="white" />
        </linearGradient>
        <mask id="cut" maskUnits="userSpaceOnUse" x={frame[0]} y={frame[1]} width={frame[2]} height={frame[3]}>
          <rect x={frame[0]} y={frame[1]} width={frame[2]} height={frame[3]} fill="url(#rising)" />
        </mask>
      </defs>
      <g mask={wall === null ? undefined : "url(#cut)"}>
        {limbs.map((limb, index) => (
          <path key={`outline ${index}`} d={limb} stroke={colour.body} strokeWidth="8" fill="none" />
        ))}
        {limbs.map((limb, index) => (
          <path key={`filling ${index}`} d={limb} fill={colour.bodyFill} />
        ))}
      </g>
      <path d={`M${xy(a)}L${xy(b)}`} stroke={colour.panel} strokeWidth="18" />
      <path d={`M${xy(a)}L${xy(b)}`} stroke={colour.action} strokeWidth="9" />
      {[a, b].map((end, index) => (
        <circle
          key={index}
          cx={end[0]}
          cy={-end[1]}
          r="15"
          fill={colour.action}
          stroke={colour.panel}
          strokeWidth="5"
        />
      ))}
    </Drawing>
  );
}
