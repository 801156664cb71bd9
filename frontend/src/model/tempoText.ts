// A tempo as it is typed: "2-1-3-0", seconds up, held, down, paused; "1+1-1-3-0" where the first second up is slow.
import { parseNumber } from "../lib/lengths";

export type Seconds = { up_s: number; slow_s: number | null; hold_s: number; down_s: number; pause_s: number };

const MOST_S = 60;
const LEAST_S = 0.5;
const tenths = (seconds: number) => Math.round(seconds * 10) / 10;

const upOf = (text: string): [up_s: number, slow_s: number | null] | null => {
  const parts = text.split("+").map((part) => parseNumber(part.trim()));
  const [first, second] = parts;
  if (parts.length === 1 && first != null) return [first, null];
  return parts.length === 2 && first && second ? [tenths(first + second), first] : null;
};

/** Null where it is none. */
export function tempoOf(text: string): Seconds | null {
  const [rising = "", ...others] = text.split("-");
  const up = upOf(rising);
  const rest = others.map((part) => parseNumber(part.trim()));
  if (up === null || rest.length !== 3 || rest.some((part) => part === null || part < 0)) return null;
  const [up_s, slow_s] = up;
  const [hold_s = 0, down_s = 0, pause_s = 0] = rest.map(Number);
  const within = Math.min(up_s, down_s) >= LEAST_S && Math.max(up_s, hold_s, down_s, pause_s) <= MOST_S;
  return within ? { up_s, slow_s, hold_s, down_s, pause_s } : null;
}

export const tempoText = ({ up_s, slow_s, hold_s, down_s, pause_s }: Seconds): string =>
  [slow_s === null ? up_s : `${slow_s}+${tenths(up_s - slow_s)}`, hold_s, down_s, pause_s].join("-");
