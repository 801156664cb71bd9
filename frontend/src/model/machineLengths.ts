// A machine's lengths as people read and type them: without a sign, with the side of the pivot in words.
import { say } from "../lib/say";
import type { MachineLength } from "../api/types";
import { lengthIn, lengthText, type LengthUnit, parseNumber, toMm } from "../lib/lengths";

export type Side = 1 | -1;
/** The side that is usual: where the middle of the usual range lies. */
export const usualSide = (length: MachineLength): Side => (length.usual_low + length.usual_high < 0 ? -1 : 1);

/** In which a number is typed: a length as the person likes it, all else as it is. */
export type Unit = LengthUnit | "deg" | "kg" | "count" | "ratio";

const isLength = (unit: Unit): unit is LengthUnit => unit === "cm" || unit === "in";

/** The unit in which one of a machine's numbers is shown and typed. */
export const typedUnit = ({ unit }: { unit: MachineLength["unit"] }, liked: LengthUnit): Unit =>
  unit === "mm" ? liked : unit;

export const shownNumber = (value: number, unit: Unit): string =>
  isLength(unit) ? String(lengthIn(Math.abs(value), unit)) : String(Math.round(Math.abs(value) * 100) / 100);

const NAMES: Record<Unit, string> = {
  cm: "cm",
  in: say("units.inches"),
  deg: say("units.degrees"),
  kg: "kg",
  count: say("units.count"),
  ratio: say("units.ratio"),
};
const SIGNS = { deg: "°", kg: " kg", count: "", ratio: "" } as const;

export const unitName = (unit: Unit): string => NAMES[unit];

/** "49.1 cm behind the pivot" */
export function lengthWords(length: MachineLength, unit: LengthUnit): string | null {
  if (length.value === null) return null;
  const shown = typedUnit(length, unit);
  const side = (length.value < 0 ? length.minus : length.plus) ?? "";
  const number = isLength(shown)
    ? lengthText(Math.abs(length.value), shown)
    : `${shownNumber(length.value, shown)}${SIGNS[shown]}`;
  return `${number} ${side}`.trim();
}

/** What is possible, in the unit that is typed: "From 15 to 100 cm is possible here"; null for what is. */
export function impossible(length: MachineLength, value: number, unit: Unit): string | null {
  if (value >= length.low && value <= length.high) return null;
  const signed = (end: number) => (length.low < 0 && length.high > 0 && end < 0 ? "−" : "");
  const ends = [length.low, length.high]
    .sort((one, other) => (length.high <= 0 ? other - one : one - other))
    .map((end) => `${signed(end)}${shownNumber(end, unit)}`);
  return say("machineLengths.rangeProblem", { ends: ends.join(" to "), unit: unitName(unit) });
}

/** A typed number in the unit shown, as mm or degrees; null for what is not a number. */
export function typedValue(text: string, unit: Unit): number | null {
  const number = parseNumber(text);
  if (number === null) return null;
  return isLength(unit) ? Math.round(toMm(number, unit) * 10) / 10 : number;
}
