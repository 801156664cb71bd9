// Whether two sets of marks, or of cushions and pads, are the same.
import same from "fast-deep-equal";

export const sameMarks = (one: Record<string, string>, other: Record<string, string>): boolean =>
  Object.keys(one).every((label) => one[label] === other[label]);

export const sameAids = (one: Record<string, number>, other: Record<string, number>): boolean => same(one, other);
