// A gym's own seconds by kind of machine as they are typed: texts to rows, and back.
import type { FamilyTempo, Tempos } from "../api/types";
import { tempoOf, tempoText } from "./tempoText";

export type TempoDraft = { tempo: string; degrees: string };
/** By family. */
export type TemposDraft = Readonly<Record<string, TempoDraft>>;

const MOST_DEG = 90;

export const draftOf = ({ tempos, usual_slow_deg }: Tempos): TemposDraft =>
  Object.fromEntries(
    tempos.map(({ family, tempo }) => [
      family,
      { tempo: tempo ? tempoText(tempo) : "", degrees: String(tempo?.slow_deg ?? usual_slow_deg) },
    ]),
  );

/** Whether up is typed in two parts. */
export const isTwofold = ({ tempo }: TempoDraft): boolean => tempoOf(tempo)?.slow_s != null;

/** Which part of a row is wrong; null where nothing is typed: the house rule's. */
export function rowOf(family: string, draft: TempoDraft): FamilyTempo | keyof TempoDraft | null {
  if (draft.tempo.trim() === "") return null;
  const seconds = tempoOf(draft.tempo);
  if (seconds === null) return "tempo";
  if (seconds.slow_s === null) return { family, ...seconds, slow_deg: null };
  const slow_deg = /^\d{1,2}$/.test(draft.degrees.trim()) ? Number(draft.degrees) : 0;
  return slow_deg >= 1 && slow_deg <= MOST_DEG ? { family, ...seconds, slow_deg } : "degrees";
}
