// What was done while the network was away, in the order in which it was done: kept in this browser until it has arrived. Each
// entry carries the key of its write, so that one whose answer was lost is not written twice.
import { unsavedName } from "./unsaved";

export type Entry<T> = { key: string; of: string; body: T };

const nameFor = (staff: number) => unsavedName(staff, "outbox");

export function readOutbox<T>(staff: number): Entry<T>[] {
  try {
    return JSON.parse(localStorage.getItem(nameFor(staff)) ?? "[]") as Entry<T>[];
  } catch {
    return [];
  }
}

export function writeOutbox<T>(staff: number, entries: readonly Entry<T>[]) {
  if (entries.length === 0) localStorage.removeItem(nameFor(staff));
  else localStorage.setItem(nameFor(staff), JSON.stringify(entries));
}
