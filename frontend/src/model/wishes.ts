// What is asked of a session's plan, and how a touch changes it. Keys are a machine and what is done on it.
import type { SessionWishes } from "../api/types";

export type Wishes = Required<SessionWishes>;
export type WishEvent =
  | { type: "minutes"; minutes: number }
  | { type: "aim"; aim: string | null }
  | { type: "programme"; id: string | null; day: number }
  | { type: "keep" | "let go" | "leave out" | "put in" | "taken" | "free"; key: string }
  | { type: "order"; keys: readonly string[] }
  | { type: "no order" }
  | { type: "in turn"; keys: readonly [string, string] }
  | { type: "by themselves"; keys: readonly string[] };

export const LEAST_MINUTES = 5;
export const MOST_MINUTES = 240;
export const USUAL_MINUTES = 30;

export const wishing = (minutes: number): Wishes => ({
  minutes,
  aim: null,
  programme_id: null,
  day: null,
  kept: [],
  out: [],
  taken: [],
  sequence: [],
  turns: [],
});

const without = (keys: readonly string[], key: string) => keys.filter((one) => one !== key);
const along = (keys: readonly string[], key: string) => [...without(keys, key), key];

/** Keeping and leaving out rule one another out; whoever is done in turn stays so until one of them is left out. */
export function wish(wishes: Wishes, event: WishEvent): Wishes {
  switch (event.type) {
    case "minutes":
      return { ...wishes, minutes: Math.min(MOST_MINUTES, Math.max(LEAST_MINUTES, Math.round(event.minutes))) };
    case "aim":
      return { ...wishes, aim: event.aim };
    case "programme":
      return { ...wishing(wishes.minutes), aim: wishes.aim, programme_id: event.id, day: event.id ? event.day : null };
    case "keep":
    case "put in":
      return { ...wishes, kept: along(wishes.kept, event.key), out: without(wishes.out, event.key) };
    case "let go":
      return { ...wishes, kept: without(wishes.kept, event.key) };
    case "leave out":
      return {
        ...wishes,
        kept: without(wishes.kept, event.key),
        out: along(wishes.out, event.key),
        sequence: without(wishes.sequence, event.key),
        turns: wishes.turns.filter((keys) => !keys.includes(event.key)),
      };
    case "taken":
      return { ...wishes, taken: along(wishes.taken, event.key) };
    case "free":
      return { ...wishes, taken: without(wishes.taken, event.key) };
    case "order":
      return { ...wishes, sequence: [...event.keys] };
    case "no order":
      return { ...wishes, sequence: [] };
    case "in turn":
      return { ...wishes, turns: [...wishes.turns, [...event.keys]] };
    case "by themselves":
      return { ...wishes, turns: wishes.turns.filter((keys) => !keys.some((key) => event.keys.includes(key))) };
  }
}

/** Keys with one of them put before another, or last. */
export function moved(keys: readonly string[], key: string, before: string | null): string[] {
  const rest = without(keys, key);
  const at = before === null ? rest.length : rest.indexOf(before);
  return at < 0 ? [...keys] : [...rest.slice(0, at), key, ...rest.slice(at)];
}
