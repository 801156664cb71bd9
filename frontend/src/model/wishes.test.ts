import { describe, expect, it } from "vitest";
import { moved, wish, wishing } from "./wishes";

describe("wishes", () => {
  const half = wishing(30);

  it("never lets a time be asked for that the server refuses", () => {
    expect([0, 4.4, 31.6, 500].map((minutes) => wish(half, { type: "minutes", minutes }).minutes)).toEqual([
      5, 5, 32, 240,
    ]);
  });

  it("keeps or leaves out, never both", () => {
    const kept = wish(half, { type: "keep", key: "a" });
    const out = wish(kept, { type: "leave out", key: "a" });
    expect([kept.kept, kept.out, out.kept, out.out]).toEqual([["a"], [], [], ["a"]]);
    expect(wish(out, { type: "put in", key: "a" })).toMatchObject({ kept: ["a"], out: [] });
  });

  it("forgets a turn and a place in the order of what is left out", () => {
    const turned = wish(wish(half, { type: "in turn", keys: ["a", "b"] }), { type: "order", keys: ["b", "a", "c"] });
    expect(wish(turned, { type: "leave out", key: "a" })).toMatchObject({ turns: [], sequence: ["b", "c"] });
  });

  it("begins anew with another programme, in the same time", () => {
    const kept = wish(wish(half, { type: "minutes", minutes: 45 }), { type: "keep", key: "a" });
    expect(wish(kept, { type: "programme", id: "p", day: 1 })).toMatchObject({
      minutes: 45,
      kept: [],
      programme_id: "p",
      day: 1,
    });
  });

  it("moves one before another, or last", () => {
    expect(moved(["a", "b", "c"], "c", "a")).toEqual(["c", "a", "b"]);
    expect(moved(["a", "b", "c"], "a", null)).toEqual(["b", "c", "a"]);
    expect(moved(["a", "b"], "a", "gone")).toEqual(["a", "b"]);
  });
});
