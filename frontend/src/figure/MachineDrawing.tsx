// Where the tape goes on a machine: the machine from its own lengths (typical ones where nobody has taped them yet, dotted),
// the length at hand between its two ends, an angle as a wedge. One unit a millimetre, n upwards, origin at the pivot.
import styled from "styled-components";
import type { MachineExercise } from "../api/types";
import { colour, font } from "../ui/tokens";
import { Arm, at, Bench, type Numbers, Seat } from "./MachineParts";
import { add, arc, type Point, scale, towards, xy } from "./geometry";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  text {
    font-family: ${font.text};
    font-weight: ${font.strong};
    font-size: 30px;
    fill: ${colour.ink};
  }
`;

/** The length at hand: a constant's name, or an adjuster's travel by what it drives. */
export type AtHand = { constant: string } | { travel: string[] };

/** Lengths as far as they are known, the middle of what is usual elsewhere. Angles of a bench count upwards. */
function lengthsOf(exercise: MachineExercise, typed: Numbers): Numbers {
  return Object.fromEntries(
    exercise.lengths.map((length) => [
      length.name,
      typed[length.name] ?? length.value ?? length.default ?? (length.usual_low + length.usual_high) / 2,
    ]),
  );
}

/** Ends of the tape for each constant, and for angles the arm. */
function endsOf(name: string, is: Numbers, lying: boolean): [Point, Point] | null {
  const surface = -at(is, lying ? "pivot_above_bench" : "pivot_above_seat");
  const arm = (angle: string, reach = at(is, "roller_reach")): Point =>
    scale(towards(lying ? -at(is, angle) : at(is, angle)), reach);
  const roller = arm("start_angle");
  const ends: Record<string, [Point, Point]> = {
    pivot_above_seat: [
      [0, surface],
      [0, 0],
    ],
    pivot_above_bench: [
      [0, surface],
      [0, 0],
    ],
    back_face: [
      [at(is, "back_face"), surface + 88],
      [0, surface + 88],
    ],
    seat_edge: [
      [at(is, "seat_edge"), surface],
      [0, surface],
    ],
    bench_end: [
      [at(is, "bench_end"), surface],
      [0, surface],
    ],
    roller_reach: [[0, 0], roller],
    roller_radius: [roller, add(roller, [at(is, "roller_radius"), 0])],
    thigh_pad_front: [
      [at(is, "thigh_pad_front"), surface + at(is, "thigh_pad_height") + 26],
      [0, surface + at(is, "thigh_pad_height") + 26],
    ],
    thigh_pad_height: [
      [at(is, "thigh_pad_front") - 75, surface],
      [at(is, "thigh_pad_front") - 75, surface + at(is, "thigh_pad_height")],
    ],
    hinge_angle: [
      [-480, surface],
      [-330, surface],
    ],
  };
  return ends[name] ?? null;
}

/** Which way a constant's marks carry a part: a short arrow at that part. */
function travelArrow(names: string[], is: Numbers, lying: boolean): [Point, Point] | null {
  const name = names[0] ?? "";
  const surface = -at(is, lying ? "pivot_above_bench" : "pivot_above_seat");
  const along = towards(lying ? -at(is, "start_angle") : at(is, "start_angle"));
  const roller = scale(along, at(is, "roller_reach"));
  const arrows: Record<string, [Point, Point]> = {
    back_face: [
      [at(is, "back_face") - 90, surface + 160],
      [at(is, "back_face") + 90, surface + 160],
    ],
    pivot_above_seat: [
      [-200, surface - 90],
      [-200, surface + 40],
    ],
    roller_reach: [add(roller, scale(along, -90)), add(roller, scale(along, 90))],
    thigh_pad_height: [
      [at(is, "thigh_pad_front") - 75, surface + at(is, "thigh_pad_height") - 50],
      [at(is, "thigh_pad_front") - 75, surface + at(is, "thigh_pad_height") + 110],
    ],
    thigh_pad_front: [
      [at(is, "thigh_pad_front") - 110, surface + at(is, "thigh_pad_height") + 30],
      [at(is, "thigh_pad_front") + 50, surface + at(is, "thigh_pad_height") + 30],
    ],
  };
  return arrows[name] ?? null;
}

type Props = { exercise: MachineExercise; typed: Numbers; hand: AtHand; title: string };

export function MachineDrawing({ exercise, typed, hand, title }: Props) {
  const is = lengthsOf(exercise, typed);
  const lying = exercise.mechanism === "lying_knee";
  const known = (...names: string[]) =>
    names.every(
      (name) => name in typed || (exercise.lengths.find((length) => length.name === name)?.value ?? null) !== null,
    );
  const dashes = (...names: string[]) => (known(...names) ? undefined : "9 8");
  const tape = "constant" in hand ? endsOf(hand.constant, is, lying) : travelArrow(hand.travel, is, lying);
  const angle = angleOf(hand);
  const box = lying ? [-640, -430, 1180, 800] : [-720, -420, 1240, 900];
  const turn = lying ? -1 : 1;
  return (
    <Drawing viewBox={box.join(" ")} role="img" aria-label={`Where the tape goes: ${title}`} data-figure="machine">
      <defs>
        <marker
          id="tip"
          viewBox="0 0 10 10"
          refX="8"
          refY="5"
          markerWidth="5"
          markerHeight="5"
          orient="auto-start-reverse"
        >
          <path d="M0 0L10 5L0 10z" fill={colour.action} />
        </marker>
      </defs>
      {lying ? <Bench is={is} dashes={dashes} /> : <Seat is={is} dashes={dashes} />}
      <Arm is={is} turn={turn} dash={dashes("roller_reach", "start_angle")} />
      <ellipse cx="0" cy="0" rx="11" ry="11" fill={colour.pivot} stroke={colour.panel} strokeWidth="4" />
      <text x="22" y={lying ? 44 : -22}>
        pivot
      </text>
      {angle ? <Wedge from={0} to={turn * at(is, angle)} reach={at(is, "roller_reach") * 0.62} /> : null}
      {tape ? (
        <g stroke={colour.action} fill="none">
          <path d={`M${xy(tape[0])}L${xy(tape[1])}`} stroke={colour.panel} strokeWidth="20" />
          <path
            d={`M${xy(tape[0])}L${xy(tape[1])}`}
            strokeWidth="9"
            markerStart={"travel" in hand ? "url(#tip)" : undefined}
            markerEnd={"travel" in hand ? "url(#tip)" : undefined}
            data-part="tape"
          />
          {"constant" in hand
            ? tape.map((end, index) => (
                <circle
                  key={index}
                  cx={end[0]}
                  cy={-end[1]}
                  r="13"
                  fill={colour.action}
                  stroke={colour.panel}
                  strokeWidth="5"
                />
              ))
            : null}
        </g>
      ) : null}
    </Drawing>
  );
}

/** The angle at hand, if it is one. */
function angleOf(hand: AtHand): string | null {
  const name = "constant" in hand ? hand.constant : (hand.travel[0] ?? "");
  return name.endsWith("_angle") && name !== "hinge_angle" ? name : null;
}

function Wedge({ from, to, reach }: { from: number; to: number; reach: number }) {
  return (
    <g stroke={colour.action} fill="none" strokeWidth="7" data-part="tape">
      <path d={`M0 0L${xy(scale(towards(from), reach * 1.35))}`} strokeDasharray="14 10" />
      <path d={`M0 0L${xy(scale(towards(to), reach * 1.35))}`} />
      <path d={arc(reach, from, to)} strokeWidth="9" />
    </g>
  );
}
