import type { Marks } from "../api/types";

export const sameMarks = (one: Marks, other: Marks): boolean =>
  Object.keys(one).every((label) => one[label] === other[label]);
