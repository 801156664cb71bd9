// Where the tape goes, for each way of taping: a person from their own expected dimensions, the tape between its two ends.
import { say } from "../lib/say";
import styled from "styled-components";
import type { Dimension, ObservationName } from "../api/types";
import { colour } from "../ui/tokens";
import { type Point, xy } from "./geometry";
import { Limbs } from "./Limbs";
import { type Lengths, lengthsOf, seated, standing } from "./postures";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
`;

type Box = [left: number, top: number, width: number, height: number];
type Scene = { limbs: string[]; tape: [Point, Point]; stool: { height: number; front: number } | null; box: Box };

/** The measures taken standing, and how high each goes. */
function standingScene(name: ObservationName, at: Lengths): Scene | null {
  const { hip, shoulder, limbs } = standing(at);
  const top = { stature: at("stature"), floor_to_hip: hip[1], floor_to_shoulder: shoulder[1] }[name];
  if (top === undefined) return null;
  const tall = at("stature");
  return {
    limbs,
    tape: [
      [-170, 0],
      [-170, top],
    ],
    stool: null,
    box: [-420, -1.06 * tall, 840, 1.12 * tall],
  };
}

function seatedScene(name: ObservationName, at: Lengths): Scene {
  const { knee, hip, ankle, limbs, stool } = seated(at);
  const crease = knee[0] - at("knee_back");
  const top = knee[1] + at("knee_top");
  const tapes: Partial<Record<ObservationName, [Point, Point]>> = {
    seat_to_kneecap: [
      [0, knee[1]],
      [knee[0] + at("knee_front"), knee[1]],
    ],
    seat_to_crease: [
      [0, knee[1] - 14],
      [crease, knee[1] - 14],
    ],
    floor_to_knee_top: [
      [knee[0] + 96, 0],
      [knee[0] + 96, top],
    ],
    floor_to_crease: [
      [crease - 44, 0],
      [crease - 44, knee[1] - at("knee_under")],
    ],
    knee_to_ankle: [knee, ankle],
    hip_to_knee: [hip, knee],
    heel_to_toe: [
      [ankle[0] - 57, 46],
      [ankle[0] - 57 + at("foot"), 46],
    ],
    thigh_depth: [
      [knee[0] - 150, top],
      [knee[0] - 158, top - at("thigh_depth")],
    ],
  };
  return { limbs, tape: tapes[name] ?? [knee, ankle], stool, box: [-130, -960, 1000, 1010] };
}

export function TapeDrawing({ name, body, title }: { name: ObservationName; body: Dimension[]; title: string }) {
  const at = lengthsOf(body);
  const { limbs, tape, stool, box } = standingScene(name, at) ?? seatedScene(name, at);
  const [left, top, width, height] = box;
  const line = `M${xy(tape[0])}L${xy(tape[1])}`;
  return (
    <Drawing viewBox={box.join(" ")} role="img" aria-label={say("tapeDrawing.name", { title })} data-figure="tape">
      <defs>
        <linearGradient id="rising" x1="0" y1={top} x2="0" y2={top + 260} gradientUnits="userSpaceOnUse">
          <stop offset="0" stopColor="white" stopOpacity="0" />
          <stop offset="1" stopColor="white" />
        </linearGradient>
        <mask id="cut" maskUnits="userSpaceOnUse" x={left} y={top} width={width} height={height}>
          <rect x={left} y={top} width={width} height={height} fill="url(#rising)" />
        </mask>
      </defs>
      <path d={`M${left} 0H${left + width}`} stroke={colour.lineStrong} strokeWidth="5" />
      {stool ? (
        <>
          <path d={`M0 0V${top}`} stroke={colour.lineStrong} strokeWidth="9" />
          <g fill={colour.machineFill} stroke={colour.machine} strokeWidth="5">
            <rect x="10" y={-stool.height} width={stool.front - 10} height="44" rx="8" />
            <path d={`M60 ${-stool.height + 44}V0M${stool.front - 50} ${-stool.height + 44}V0`} strokeWidth="12" />
          </g>
        </>
      ) : null}
      <g mask={stool ? "url(#cut)" : undefined}>
        <Limbs paths={limbs} />
      </g>
      <path d={line} stroke={colour.panel} strokeWidth="18" />
      <path d={line} stroke={colour.action} strokeWidth="9" />
      {tape.map((end, index) => (
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
