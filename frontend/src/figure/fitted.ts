// A fitted body as tapered limbs, from the core's points and the body's own dimensions (mm): nothing pretends to be anatomy.
import type { Figure, Pose } from "../api/types";
import { add, at, capsule, front, norm, type Point, scale, sub, unit } from "./geometry";

/** Degrees by which the back pad and the trunk lean back: drawn, not taped. */
const LEAN_DEG = 9;
export const UPWARDS: Point = [-Math.sin((LEAN_DEG * Math.PI) / 180), Math.cos((LEAN_DEG * Math.PI) / 180)];

const value = (figure: Figure, name: string): number => figure.body[name] ?? 0;

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
  const ahead = front(along);
  const sole = add(at(pose.ankle), scale(along, value(figure, "ankle_height") * 0.55));
  const length = value(figure, "foot");
  const heel = add(sole, scale(ahead, -0.12 * length));
  const toe = add(add(sole, scale(ahead, 0.68 * length)), scale(along, 10));
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
