// Which people of the board are shown, and in which order: kept in the address.
import type { Board } from "../api/types";

export type Person = Board["people"][number];
export type Show = "all" | "gaps" | "due";
export type Sort = "name" | "seen" | "gaps";

const count = (person: Person, state: Person["cells"][number]["state"]) =>
  person.cells.filter((cell) => cell.state === state).length;

/** Those with a gap, or with something due; the ones with the most first where that is asked for. */
export function shown(people: readonly Person[], show: Show, sort: Sort, locale: string): Person[] {
  const kept = people.filter((person) => show === "all" || count(person, show === "gaps" ? "gap" : "due") > 0);
  const byName = (one: Person, other: Person) => one.name.localeCompare(other.name, locale);
  const orders: Record<Sort, (one: Person, other: Person) => number> = {
    name: byName,
    seen: (one, other) => (other.seen_at ?? "").localeCompare(one.seen_at ?? "") || byName(one, other),
    gaps: (one, other) => count(other, "gap") - count(one, "gap") || byName(one, other),
  };
  return [...kept].sort(orders[sort]);
}
