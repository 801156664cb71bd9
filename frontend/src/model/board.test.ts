import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Person, shown } from "./board";

const person = (
  name: string,
  states: Person["cells"][number]["state"][],
  seen_at = "2026-11-01T00:00:00Z",
): Person => ({
  id: name,
  name,
  detail: "",
  seen_at,
  cells: states.map((state) => ({ state, fitting_id: null, why: [] })),
});
const people = [
  person("Ósk", ["fitted", "gap"], "2026-11-03T00:00:00Z"),
  person("Ada", ["fitted", "due"], "2026-11-01T00:00:00Z"),
  person("Imre", ["gap", "gap"], "2026-11-02T00:00:00Z"),
];
const names = (...given: Parameters<typeof shown>) => shown(...given).map(({ name }) => name);

describe("the board", () => {
  it("keeps those with gaps, or with something due", () => {
    expect(names(people, "gaps", "name", "en-GB")).toEqual(["Imre", "Ósk"]);
    expect(names(people, "due", "name", "en-GB")).toEqual(["Ada"]);
  });

  it("sorts by name as the gym spells, by who was here last, by the most gaps", () => {
    expect(names(people, "all", "name", "en-GB")).toEqual(["Ada", "Imre", "Ósk"]);
    expect(names(people, "all", "seen", "en-GB")).toEqual(["Ósk", "Imre", "Ada"]);
    expect(names(people, "all", "gaps", "en-GB")).toEqual(["Imre", "Ósk", "Ada"]);
  });

  it("loses and doubles nobody", () => {
    const one = fc.record({ name: fc.string(), gap: fc.boolean() });
    fc.assert(
      fc.property(fc.array(one), fc.constantFrom("name", "seen", "gaps"), (given, sort) => {
        const all = given.map(({ name, gap }) => person(name, [gap ? "gap" : "fitted"]));
        expect(shown(all, "all", sort as "name", "en-GB")).toHaveLength(all.length);
        expect(shown(all, "gaps", sort as "name", "en-GB")).toHaveLength(given.filter(({ gap }) => gap).length);
      }),
    );
  });
});
