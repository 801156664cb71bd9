// A person seated against a wall or standing, as tapered limbs from their own dimensions (mm). Wall at s = 0, floor at n = 0.
import type { Dimension } from "../api/types";
import { add, capsule, type Point } from "./geometry";

export type Lengths = (name: string) => number;

export const lengthsOf = (body: Dimension[]): Lengths => {
  const mm = new Map(body.map((dimension) => [dimension.name, dimension.mm]));
  return (name) => mm.get(name) ?? 0;
};

const foot = (at: Lengths, ankle: Point): string =>
  capsule([ankle[0] - 30, 26], 26, [ankle[0] + at("foot") * 0.62, 17], 17);

const head = (at: Lengths, middle: Point): string =>
  capsule(middle, at("stature") * 0.052, add(middle, [2, 34]), at("stature") * 0.052);

/** Shin upright, back and hips against the wall. */
export function seated(at: Lengths) {
  const knee: Point = [at("hip_depth") + at("thigh"), at("ankle_height") + at("shank")];
  const hip: Point = [at("hip_depth"), knee[1] - at("knee_under") + at("hip_rise")];
  const ankle: Point = [knee[0], at("ankle_height")];
  const half = at("hip_depth") * 0.86;
  const shoulders = hip[1] + at("torso");
  const limbs = [
    capsule([half, hip[1] + half - at("hip_rise")], half, [half, shoulders - at("torso") * 0.07], half * 0.9),
    capsule(hip, at("hip_rise"), knee, at("knee_top")),
    capsule(knee, at("knee_front") * 0.9, ankle, at("calf_half") * 0.78),
    foot(at, ankle),
  ];
  const neckAndHead = [
    capsule([half + 6, shoulders], 46, [half + 12, shoulders + at("stature") * 0.06], 42),
    head(at, [half + 14, shoulders + at("stature") * 0.1]),
  ];
  const seat = knee[1] - at("knee_under");
  const stool = { height: seat, front: knee[0] - at("knee_back") - 70 };
  return { knee, hip, ankle, half, seat, limbs, neckAndHead, stool };
}

export function standing(at: Lengths) {
  const ankle: Point = [0, at("ankle_height")];
  const knee: Point = [0, ankle[1] + at("shank")];
  const hip: Point = [0, knee[1] + at("thigh")];
  const shoulder: Point = [0, hip[1] + at("torso")];
  const limbs = [
    foot(at, ankle),
    capsule(ankle, at("calf_half") * 0.78, knee, at("knee_front") * 0.9),
    capsule(knee, at("knee_front") * 0.95, hip, at("hip_rise") * 0.95),
    capsule(hip, at("hip_rise"), [0, shoulder[1] - 78], 84),
    capsule([0, shoulder[1] - 20], 46, [6, at("stature") * 0.9], 42),
    head(at, [8, at("stature") * 0.948 - 34]),
  ];
  return { hip, shoulder, limbs };
}
