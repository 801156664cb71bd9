// Pure geometry for drawings, in millimetres of the seat frame: s to the feet, n up. One drawing unit is one millimetre;
// a drawing's y is -n.
import type { Place } from "../api/types";

/** A place or a displacement: s, n. */
export type Point = readonly [number, number];

export const at = ({ s, n }: Place): Point => [s, n];

export const add = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];
export const sub = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]];
export const scale = (a: Point, factor: number): Point => [a[0] * factor, a[1] * factor];
export const norm = (a: Point): number => Math.hypot(a[0], a[1]);
export const unit = (a: Point): Point => scale(a, 1 / (norm(a) || 1));

/** Unit vector at an angle that grows from +s towards -n: 0 along the seat, 90 straight down. */
export const towards = (deg: number): Point => [Math.cos((deg * Math.PI) / 180), -Math.sin((deg * Math.PI) / 180)];

/** A quarter turn: from a leg's direction to its front (the side of the kneecap). */
export const front = (direction: Point): Point => [-direction[1], direction[0]];

const number = (value: number): string => value.toFixed(1);
export const xy = ([s, n]: Point): string => `${number(s)} ${number(-n)}`;

/** A limb: two round ends joined by their outer tangents. */
export function capsule(from: Point, radiusFrom: number, to: Point, radiusTo: number): string {
  const axis = unit(sub(to, from));
  const length = norm(sub(to, from));
  const lean = Math.asin(Math.max(-1, Math.min(1, (radiusFrom - radiusTo) / (length || 1))));
  const side = (sign: 1 | -1): Point => {
    const across = front(axis);
    return add(scale(axis, Math.sin(lean)), scale(across, sign * Math.cos(lean)));
  };
  const [left, right] = [side(1), side(-1)];
  const start = add(from, scale(left, radiusFrom));
  const across = add(to, scale(left, radiusTo));
  const back = add(to, scale(right, radiusTo));
  const end = add(from, scale(right, radiusFrom));
  const large = (reaches: boolean) => (reaches ? 1 : 0);
  return [
    `M${xy(start)}`,
    `L${xy(across)}`,
    `A${number(radiusTo)} ${number(radiusTo)} 0 ${large(radiusTo > radiusFrom)} 1 ${xy(back)}`,
    `L${xy(end)}`,
    `A${number(radiusFrom)} ${number(radiusFrom)} 0 ${large(radiusFrom >= radiusTo)} 1 ${xy(start)}Z`,
  ].join("");
}

/** An arc about the origin between two arm angles. */
export function arc(reach: number, fromDeg: number, toDeg: number): string {
  const [start, end] = [scale(towards(fromDeg), reach), scale(towards(toDeg), reach)];
  const sweep = fromDeg > toDeg ? 0 : 1;
  const large = Math.abs(fromDeg - toDeg) > 180 ? 1 : 0;
  return `M${xy(start)}A${number(reach)} ${number(reach)} 0 ${large} ${sweep} ${xy(end)}`;
}

/** A slab of a thickness along a line from a to b, on the right of its direction. */
export function slab(a: Point, b: Point, thickness: number): string {
  const off = scale(front(unit(sub(b, a))), -thickness);
  return `M${xy(a)}L${xy(b)}L${xy(add(b, off))}L${xy(add(a, off))}Z`;
}

/** Half axes and turn (degrees, drawing sense) of the ellipse of a plane normal at so many SDs. */
export function ellipse(varianceS: number, varianceN: number, covariance: number, sds: number) {
  const mean = (varianceS + varianceN) / 2;
  const spread = Math.hypot((varianceS - varianceN) / 2, covariance);
  const turn = (0.5 * Math.atan2(2 * covariance, varianceS - varianceN) * 180) / Math.PI;
  return {
    rx: sds * Math.sqrt(mean + spread),
    ry: sds * Math.sqrt(Math.max(mean - spread, 0)),
    turnDeg: -turn,
  };
}
