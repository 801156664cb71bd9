// What a fitting holds, as one value: compared whole, changed in parts.
import type { Aids, FittingState, Marks, Sheet } from "../api/types";

export const sheetOf = (fitting: FittingState): Sheet => ({
  marks: fitting.marks,
  aids: fitting.aids,
  load: fitting.load,
  signs: fitting.signs,
  note: fitting.note,
  knee_off_mm: fitting.knee_off_mm,
  roller_seen: fitting.roller_seen,
});

export const sameMarks = (one: Marks, other: Marks): boolean =>
  Object.keys(one).every((label) => one[label] === other[label]);

export const sameAids = (one: Aids, other: Aids): boolean =>
  one.cushion_back_mm === other.cushion_back_mm &&
  one.cushion_seat_mm === other.cushion_seat_mm &&
  one.hip_pad_mm === other.hip_pad_mm;

export const sameSheet = (one: Sheet, other: Sheet): boolean =>
  sameMarks(one.marks, other.marks) &&
  sameAids(one.aids, other.aids) &&
  one.load === other.load &&
  one.note === other.note &&
  one.knee_off_mm === other.knee_off_mm &&
  one.roller_seen === other.roller_seen &&
  [...one.signs].sort().join() === [...other.signs].sort().join();
