// What whoever practises has in hand: the run as it stands, and what can be done next.
import type { PracticeRun } from "../../api/types";

/** Nothing is chosen. */
export const NONE = "none";

export type Action = {
  do: "ask" | "take" | "set" | "watch" | "cause" | "cue" | "load" | "refuse" | "accept";
} & Partial<{
  observation: string;
  marks: Record<string, string>;
  named: string[];
  sign: string;
  cause: string;
  cue: string;
  kg: number;
}>;

export type Hand = { run: PracticeRun; busy: boolean; onDo: (action: Action) => void };
