// A fitted body as tapered limbs, from the core's points and the body's own dimensions (mm): nothing pretends to be anatomy.
// Figures are upright (upright.ts). The front of a lying client faces down: facing -1.
import type { Figure, Pose } from "../api/types";
import { add, at, capsule, front, norm, type Point, scale, sub, unit } from "./geometry";

/** Degrees by which the back pad and the trunk lean back: drawn, not taped. */
const LEAN_DEG = 9;
export const UPWARDS: Point = [-Math.sin((LEAN_DEG * Math.PI) / 180), Math.cos((LEAN_DEG * Math.PI) / 180)];
const SHARE_OF_TORSO = 0.8;

const value = (figure: Figure, name: string): number => figure.body[name] ?? 0;

/** The side of the kneecap, for a leg that runs along a direction. */
export const ahead = (figure: Figure, along: Point): Point => scale(front(along), figure.up);

/** The lower leg, as wide at the roller's contact as the model says, so that the roller just touches it. */
export function shin(figure: Figure, pose: Pose): string {
  const reach = norm(sub(at(pose.contact), at(pose.knee))) || 1;
  const length = norm(sub(at(pose.ankle), at(pose.knee)));
  const atKnee = value(figure, "knee_front") * 0.88;
  const atAnkle = Math.max(atKnee + ((value(figure, "calf_half") - atKnee) * length) / reach, 22);
  return capsule(at(pose.knee), atKnee, at(pose.ankle), atAnkle);
}

export function foot(figure: Figure, pose: Pose): string {
  const along = unit(sub(at(pose.ankle), at(pose.knee)));
  const forward = ahead(figure, along);
  const sole = add(at(pose.ankle), scale(along, value(figure, "ankle_height") * 0.55));
  const length = value(figure, "foot");
  const heel = add(sole, scale(forward, -0.12 * length));
  const toe = add(add(sole, scale(forward, 0.68 * length)), scale(along, 10));
  return capsule(heel, 29, toe, 17);
}

export const thigh = (figure: Figure): string =>
  capsule(at(figure.hip), value(figure, "hip_rise"), at(figure.poses.start.knee), value(figure, "knee_front") * 0.96);

/** The trunk, its back on the pad: as deep behind the hip as the hips are. */
export function trunk(figure: Figure): string {
  const depth = value(figure, "hip_depth");
  const half = depth * 0.86;
  const centre = add(at(figure.hip), [half - depth, half - value(figure, "hip_rise")]);
  return capsule(centre, half, add(centre, scale(UPWARDS, value(figure, "torso") * 0.95)), half * 0.86);
}

/** A lying client's hip is thicker than the knee; both rest on the bench. */
const lyingHip = (figure: Figure): { centre: Point; half: number } => {
  const half = value(figure, "knee_front") * 1.3;
  return { centre: add(at(figure.hip), [0, half - value(figure, "knee_front")]), half };
};

export function lyingThigh(figure: Figure): string {
  const { centre, half } = lyingHip(figure);
  return capsule(centre, half, at(figure.poses.start.knee), value(figure, "knee_front") * 0.96);
}

/** How far the trunk's part of a hinged bench falls away, degrees. */
export const hingeDeg = (figure: Figure): number => figure.machine.hinge_angle ?? 0;

/** The direction from the hips to the head: over a hinge, or over a pad on a flat bench. */
export function headwards(figure: Figure): Point {
  const pad = figure.machine.hip_pad ?? 0;
  const fall =
    hingeDeg(figure) > 0
      ? hingeDeg(figure) * (Math.PI / 180)
      : Math.asin(pad / (SHARE_OF_TORSO * value(figure, "torso")));
  return [-Math.cos(fall), -Math.sin(fall)];
}

export function lyingTrunk(figure: Figure): string {
  const { centre, half } = lyingHip(figure);
  return capsule(centre, half, add(centre, scale(headwards(figure), value(figure, "torso") * 0.95)), half * 1.05);
}
