// Parts of a machine's drawing, from its own lengths: what is seated on, what is lain on, the arm.
import { colour } from "../ui/tokens";
import { UPWARDS } from "./fitted";
import { add, type Point, scale, slab, towards, xy } from "./geometry";

export type Numbers = Record<string, number>;
export const at = (numbers: Numbers, name: string): number => numbers[name] ?? 0;

type Dashes = (...names: string[]) => string | undefined;
const machine = { stroke: colour.machine, strokeWidth: 4, strokeLinejoin: "round", fill: colour.machineFill } as const;

export function Seat({ is, dashes }: { is: Numbers; dashes: Dashes }) {
  const surface = -at(is, "pivot_above_seat");
  const face = at(is, "back_face");
  const edge = at(is, "seat_edge");
  const foot: Point = [face, surface + 26];
  const under = surface + at(is, "thigh_pad_height");
  const front = at(is, "thigh_pad_front");
  return (
    <g {...machine}>
      <path d={slab(add(foot, scale(UPWARDS, 380)), foot, -62)} strokeDasharray={dashes("back_face")} />
      <rect
        x={face - 30}
        y={-surface}
        width={edge - face + 30}
        height="62"
        rx="14"
        strokeDasharray={dashes("seat_edge", "pivot_above_seat")}
      />
      <path d={`M${xy([edge - 40, surface - 62])}L${xy([edge - 40, -470])}`} strokeWidth="13" />
      <path d={`M${xy([face + 130, surface - 62])}L${xy([face + 130, -470])}`} strokeWidth="13" />
      {"thigh_pad_front" in is ? (
        <rect
          x={front - 150}
          y={-under - 54}
          width="150"
          height="54"
          rx="20"
          strokeDasharray={dashes("thigh_pad_front", "thigh_pad_height")}
        />
      ) : null}
    </g>
  );
}

export function Bench({ is, dashes }: { is: Numbers; dashes: Dashes }) {
  const surface = -at(is, "pivot_above_bench");
  const end = at(is, "bench_end");
  const fall = (at(is, "hinge_angle") * Math.PI) / 180;
  const hinge: Point = [-420, surface];
  return (
    <g {...machine}>
      <path d={slab(add(hinge, scale([-Math.cos(fall), -Math.sin(fall)], 400)), hinge, 66)} />
      <rect
        x={hinge[0]}
        y={-surface}
        width={end - hinge[0]}
        height="66"
        rx="14"
        strokeDasharray={dashes("bench_end", "pivot_above_bench")}
      />
      <path d={`M${xy([end - 80, surface - 66])}L${xy([end - 80, -360])}`} strokeWidth="13" />
      <path d={`M${xy([hinge[0] - 40, surface - 66])}L${xy([hinge[0] - 40, -360])}`} strokeWidth="13" />
    </g>
  );
}

export function Arm({ is, turn, dash }: { is: Numbers; turn: number; dash: string | undefined }) {
  const roller = scale(towards(turn * at(is, "start_angle")), at(is, "roller_reach"));
  return (
    <g stroke={colour.machine} strokeDasharray={dash}>
      <path d={`M0 0L${xy(roller)}`} strokeWidth="12" strokeLinecap="round" />
      <circle cx={roller[0]} cy={-roller[1]} r={at(is, "roller_radius")} fill={colour.machineFill} strokeWidth="4" />
      <circle cx={roller[0]} cy={-roller[1]} r="6" fill={colour.machine} stroke="none" />
    </g>
  );
}
