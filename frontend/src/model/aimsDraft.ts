// The gym's table by aim as it is typed: texts to rows, and back.
import type { Aim } from "../api/types";
import { tempoOf, tempoText } from "./tempoText";

export type AimDraft = Record<"name" | "sets" | "repetitions" | "seconds" | "tempo" | "rest", string>;
export const EMPTY: AimDraft = { name: "", sets: "2", repetitions: "10", seconds: "", tempo: "", rest: "90" };

export const draftOf = ({ name, sets, repetitions, seconds, tempo, rest_s }: Aim): AimDraft => ({
  name,
  sets: String(sets),
  repetitions: repetitions === null ? "" : String(repetitions),
  seconds: seconds === null ? "" : String(seconds),
  tempo: tempo ? tempoText({ ...tempo, slow_s: null }) : "",
  rest: String(rest_s),
});

const whole = (text: string, from: number, to: number): number | null => {
  const number = /^\d{1,4}$/.test(text.trim()) ? Number(text) : NaN;
  return number >= from && number <= to ? number : null;
};

/** Undefined where it is none; nothing typed: the house rule's. An aim is not of one kind of machine, and says nothing of where up goes faster. */
const aimTempoOf = (text: string): Aim["tempo"] | undefined => {
  if (text.trim() === "") return null;
  const { slow_s, ...seconds } = tempoOf(text) ?? { slow_s: 0 };
  return slow_s === null && "up_s" in seconds ? seconds : undefined;
};

/** Which part of a row is wrong; a row where nothing is. */
export function aimOf(draft: AimDraft): Aim | keyof AimDraft {
  const name = draft.name.trim();
  const sets = whole(draft.sets, 1, 10);
  const repetitions = draft.repetitions.trim() === "" ? null : whole(draft.repetitions, 1, 100);
  const seconds = draft.seconds.trim() === "" ? null : whole(draft.seconds, 5, 600);
  const tempo = aimTempoOf(draft.tempo);
  const rest_s = whole(draft.rest, 0, 900);
  if (name === "" || name.length > 30) return "name";
  if (sets === null) return "sets";
  if (repetitions === null && (draft.repetitions.trim() !== "" || draft.seconds.trim() === "")) return "repetitions";
  if (seconds === null && draft.seconds.trim() !== "") return "seconds";
  if (tempo === undefined) return "tempo";
  return rest_s === null ? "rest" : { name, sets, repetitions, seconds, tempo, rest_s };
}
