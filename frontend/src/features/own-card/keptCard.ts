// The card as it was when the gym was last reached, on the phone of whoever it is of.
import type { OwnCard } from "../../api/types";

const NAME = "verglas.own-card";
export type KeptCard = { secret: string; card: OwnCard };

export function keptCard(): KeptCard | null {
  const text = localStorage.getItem(NAME);
  return text === null ? null : (JSON.parse(text) as KeptCard);
}

export const keepCard = (kept: KeptCard): void => localStorage.setItem(NAME, JSON.stringify(kept));
export const forgetCard = (): void => localStorage.removeItem(NAME);
