// Millimetres inside; centimetres or inches only where people read and type.

export type LengthUnit = "cm" | "in";

const MM_PER: Record<LengthUnit, number> = { cm: 10, in: 25.4 };
const NAMES: Record<LengthUnit, string> = { cm: "cm", in: "in" };

/** 604 mm -> "60.4 cm" or "23.8 in". */
export const lengthText = (mm: number, unit: LengthUnit): string => `${(mm / MM_PER[unit]).toFixed(1)} ${NAMES[unit]}`;

/** 604 mm -> 60.4 */
export const lengthIn = (mm: number, unit: LengthUnit): number => Number((mm / MM_PER[unit]).toFixed(1));

/** As exact as it was read: 604 mm -> 60.4, without rounding. */
export const fromMm = (mm: number, unit: LengthUnit): number => mm / MM_PER[unit];

export const toMm = (value: number, unit: LengthUnit): number => value * MM_PER[unit];

/** -16.2 mm -> "−16 mm", 9.8 degrees -> "10°": whole, with a real minus, and never a nought below nothing. */
export function wholeText(value: number, unit: string): string {
  const rounded = Math.round(value);
  return `${Object.is(rounded, -0) ? 0 : rounded}${unit === "deg" ? "°" : " mm"}`.replace("-", "−");
}

/** "60,4" or "60.4" -> 60.4; null for what is not a number. */
export function parseNumber(text: string): number | null {
  const tidy = text.trim().replace(",", ".");
  return /^\d+(\.\d+)?$/.test(tidy) ? Number(tidy) : null;
}

/** The same with a minus before it, as typed or as printed. */
export function parseSigned(text: string): number | null {
  const tidy = text.trim();
  const size = parseNumber(tidy.replace(/^[-−]/, ""));
  return size !== null && /^[-−]/.test(tidy) ? -size : size;
}
