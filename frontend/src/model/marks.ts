// Marks as printed on a machine, from a quick entry: runs and single ones, in the order in which they are met.
//   "1-12"  "A-F"  "I-IV"  "1-6, 8-12" (a gap)  "dot, 1-5"  "5 lines" (bare lines)
import { say } from "../lib/say";

const ROMAN = ["I", "II", "III", "IV", "V", "VI", "VII", "VIII", "IX", "X", "XI", "XII", "XIII", "XIV", "XV", "XVI"];
const MOST = 60;

const range = (from: number, to: number): number[] => {
  const step = from <= to ? 1 : -1;
  return Array.from({ length: Math.min(Math.abs(to - from) + 1, MOST + 1) }, (_, index) => from + step * index);
};

/** The marks of a run between two ends, or null where there is no such run. */
function run(from: string, to: string): string[] | null {
  if (/^\d{1,3}$/.test(from) && /^\d{1,3}$/.test(to)) return range(Number(from), Number(to)).map(String);
  const [first, last] = [ROMAN.indexOf(from), ROMAN.indexOf(to)];
  if (first >= 0 && last >= 0 && (from.length > 1 || to.length > 1))
    return range(first, last).map((index) => ROMAN[index] ?? "");
  const letters = /^[A-Z]$/.test(from) && /^[A-Z]$/.test(to);
  if (letters || (/^[a-z]$/.test(from) && /^[a-z]$/.test(to)))
    return range(from.charCodeAt(0), to.charCodeAt(0)).map((code) => String.fromCharCode(code));
  return null;
}

function entry(text: string): string[] {
  const lines = /^(\d{1,2}) lines?$/i.exec(text);
  if (lines) return range(1, Number(lines[1])).map((number) => say("marks.lineNumber", { number }));
  const ends = /^(\S+)\s*[-–]\s*(\S+)$/.exec(text);
  return (ends && run(ends[1] ?? "", ends[2] ?? "")) ?? [text];
}

/** A mark as it is told: with what those show which take it, where theirs are printed otherwise. */
export function told(adjuster: { marks: readonly string[]; also?: string[][] }, mark: string | undefined): string {
  if (mark === undefined) return "–";
  const index = adjuster.marks.indexOf(mark);
  return [mark, ...(adjuster.also ?? []).flatMap((marks) => marks[index] ?? [])].join(" / ");
}

export const parseMarks = (text: string): string[] =>
  text
    .split(/[,;\n]+/)
    .map((part) => part.trim())
    .filter((part) => part !== "")
    .flatMap(entry);

/** What is wrong with a row of marks, in a sentence; null where nothing is. */
export function marksProblem(marks: readonly string[]): string | null {
  if (marks.length === 0) return say("marks.fewProblem");
  if (marks.length > MOST) return say("marks.manyProblem");
  const twice = marks.find((mark, index) => marks.indexOf(mark) !== index);
  if (twice !== undefined) return say("marks.doubleProblem", { twice });
  const long = marks.find((mark) => mark.length > 20);
  return long === undefined ? null : say("marks.longProblem", { long });
}

/** Back to a short text: runs of three and more are drawn together. */
export function marksText(marks: readonly string[]): string {
  const parts: string[] = [];
  let at = 0;
  while (at < marks.length) {
    let end = at;
    while (end + 1 < marks.length && isRun(marks.slice(at, end + 2))) end += 1;
    parts.push(end - at >= 2 ? `${marks[at]}-${marks[end]}` : marks.slice(at, end + 1).join(", "));
    at = end + 1;
  }
  return parts.join(", ");
}

const isRun = (marks: readonly string[]): boolean => {
  const found = run(marks[0] ?? "", marks.at(-1) ?? "");
  return found !== null && found.length === marks.length && found.every((mark, index) => mark === marks[index]);
};

/** Evenly spaced travel from the first to the last mark. */
export const evenTravel = (firstToLast: number, count: number): number[] =>
  Array.from({ length: count }, (_, index) =>
    count === 1 ? 0 : Math.round((firstToLast * index * 10) / (count - 1)) / 10,
  );

export const isEven = (travel: readonly number[]): boolean => {
  const even = evenTravel(travel.at(-1) ?? 0, travel.length);
  return travel.every((value, index) => Math.abs(value - (even[index] ?? 0)) < 0.11);
};
