// What a fitting holds, as one value: compared whole, changed in parts.
import same from "fast-deep-equal";
import type { Aids, FittingState, Marks, Sheet } from "../api/types";

const FIELDS = [
  "marks",
  "aids",
  "load",
  "signs",
  "note",
  "knee_off_mm",
  "roller_seen",
  "flow",
  "work",
  "cue",
  "reason",
  "trail",
  "creep",
] as const satisfies readonly (keyof Sheet)[];

/** What may speak of somebody's health, such as a sign, where it was felt or why a step was skipped: it stays in its tab, and
 *  lies encrypted on the server. */
export const SECRET = [
  "note",
  "cue",
  "reason",
  "flow",
  "signs",
  "work",
  "load",
  "trail",
] as const satisfies readonly (keyof Sheet)[];

/** The part of a sheet that speaks of health, or the other. */
export const partOf = (sheet: Sheet, secret: boolean): Partial<Sheet> =>
  Object.fromEntries(Object.entries(sheet).filter(([name]) => (SECRET as readonly string[]).includes(name) === secret));

export const sheetOf = (fitting: FittingState): Sheet =>
  Object.fromEntries(FIELDS.map((name) => [name, fitting[name]])) as Sheet;

export const sameSheet = (one: Sheet, other: Sheet): boolean =>
  same({ ...one, signs: [...one.signs].sort() }, { ...other, signs: [...other.signs].sort() });

/** The step of writing down, which comes after all of a machine's own. */
export const WRITE = "@write";

/** What is done by the numbers: marks and cushions as they stood. */
export const seenAt = ({ marks, aids }: Sheet): { marks: Marks; aids: Aids } => ({ marks, aids });
