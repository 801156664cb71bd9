// Paths of shapes, in millimetres: x forward, y up. One drawing unit is one millimetre; a drawing's y is -y.

/** A place or a displacement: x, y. */
export type Point = readonly [number, number];

/** Of a place as it is sent. */
export const at = ([x = 0, y = 0]: readonly number[]): Point => [x, y];

export const add = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];
export const sub = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1]];
export const scale = (a: Point, factor: number): Point => [a[0] * factor, a[1] * factor];
export const norm = (a: Point): number => Math.hypot(a[0], a[1]);
export const unit = (a: Point): Point => scale(a, 1 / (norm(a) || 1));

/** Unit vector at an angle counted from +x towards +y. */
export const towards = (deg: number): Point => [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
export const degreesOf = (a: Point): number => (Math.atan2(a[1], a[0]) * 180) / Math.PI;

/** A quarter turn, from +x towards +y. */
const front = (direction: Point): Point => [-direction[1], direction[0]];

const number = (value: number): string => value.toFixed(1);
export const xy = ([x, y]: Point): string => `${number(x)} ${number(-y)}`;

export const line = (points: readonly Point[]): string => `M${points.map(xy).join("L")}`;

/** A limb: round at its places, joined by their outer tangents. */
export function limb(places: readonly Point[], radii: readonly number[]): string {
  const sides = places
    .slice(1)
    .map((to, index) => tangents(places[index] as Point, radii[index] ?? 0, to, radii[index + 1] ?? 0));
  const [first, last] = [sides[0] as Side, sides.at(-1) as Side];
  const [radiusFirst, radiusLast] = [radii[0] ?? 0, radii.at(-1) ?? 0];
  const round = (radius: number, other: number, to: Point) =>
    `A${number(radius)} ${number(radius)} 0 ${radius > other ? 1 : 0} 1 ${xy(to)}`;
  return [
    line(sides.flatMap(({ left }) => left)),
    round(radiusLast, radii.at(-2) ?? 0, last.right[1]),
    ...[...sides].reverse().flatMap(({ right }) => [`L${xy(right[1])}`, `L${xy(right[0])}`]),
    round(radiusFirst, (radii[1] ?? 0) - 1e-9, first.left[0]),
    "Z",
  ].join("");
}

type Side = { left: readonly [Point, Point]; right: readonly [Point, Point] };

/** The outer tangents of two circles, each from the first to the second. */
function tangents(from: Point, radiusFrom: number, to: Point, radiusTo: number): Side {
  const axis = unit(sub(to, from));
  const lean = Math.asin(Math.max(-1, Math.min(1, (radiusFrom - radiusTo) / (norm(sub(to, from)) || 1))));
  const side = (sign: 1 | -1): readonly [Point, Point] => {
    const out = add(scale(axis, Math.sin(lean)), scale(front(axis), sign * Math.cos(lean)));
    return [add(from, scale(out, radiusFrom)), add(to, scale(out, radiusTo))];
  };
  return { left: side(1), right: side(-1) };
}

/** An arc about a centre between two angles. */
export function arc(centre: Point, radius: number, fromDeg: number, toDeg: number): string {
  const [start, end] = [fromDeg, toDeg].map((deg) => add(centre, scale(towards(deg), radius))) as [Point, Point];
  const sweep = fromDeg > toDeg ? 1 : 0;
  const large = Math.abs(fromDeg - toDeg) > 180 ? 1 : 0;
  return `M${xy(start)}A${number(radius)} ${number(radius)} 0 ${large} ${sweep} ${xy(end)}`;
}

/** A closed outline whose corners are rounded, as far as its sides allow. */
export function outline(points: readonly Point[], radius: number): string {
  const corner = (index: number): string => {
    const at = points[index] as Point;
    const [before, after] = [points.at(index - 1) as Point, points[(index + 1) % points.length] as Point];
    const reach = Math.min(radius, norm(sub(before, at)) / 2, norm(sub(after, at)) / 2);
    const from = add(at, scale(unit(sub(before, at)), reach));
    const to = add(at, scale(unit(sub(after, at)), reach));
    return `${xy(from)}Q${xy(at)} ${xy(to)}`;
  };
  return `M${points.map((_, index) => corner(index)).join("L")}Z`;
}

/** Half axes and turn (degrees, drawing sense) of the ellipse of a plane normal at so many SDs. */
export function ellipse(varianceX: number, varianceY: number, covariance: number, sds: number) {
  const mean = (varianceX + varianceY) / 2;
  const spread = Math.hypot((varianceX - varianceY) / 2, covariance);
  const turn = (0.5 * Math.atan2(2 * covariance, varianceX - varianceY) * 180) / Math.PI;
  return {
    rx: sds * Math.sqrt(mean + spread),
    ry: sds * Math.sqrt(Math.max(mean - spread, 0)),
    turnDeg: -turn,
  };
}

/** A limb with two round ends. */
export const capsule = (from: Point, radiusFrom: number, to: Point, radiusTo: number): string =>
  limb([from, to], [radiusFrom, radiusTo]);
