import { describe, expect, it } from "vitest";
import type { Visited } from "../api/types";
import { firstAfter, runs } from "./VisitLine";

const visit = (kg: number | null, broken = false) =>
  ({ load: kg === null ? null : { kg, text: "", how: "" }, broken }) as unknown as Visited;

describe("the line over the visits", () => {
  it("joins loads that compare", () => {
    expect(runs([visit(20), visit(25), visit(25)])).toEqual([[0, 1, 2]]);
  });

  it("breaks where the pad moved, and where nothing was loaded", () => {
    expect(runs([visit(20), visit(25), visit(25, true), visit(30)])).toEqual([
      [0, 1],
      [2, 3],
    ]);
    expect(runs([visit(20), visit(null), visit(25)])).toEqual([[0], [2]]);
    expect(runs([])).toEqual([]);
  });
});

describe("a caution over the visits", () => {
  const days = ["2026-01-01T10:00:00Z", "2026-01-08T10:00:00Z", "2026-01-15T10:00:00Z"].map((at) => ({ at }));

  it("stands before the first visit that it holds for, behind the last where there is none yet", () => {
    expect(firstAfter(days, "2025-12-31T00:00:00Z")).toBe(0);
    expect(firstAfter(days, "2026-01-08T10:00:00Z")).toBe(1);
    expect(firstAfter(days, "2026-01-09T00:00:00Z")).toBe(2);
    expect(firstAfter(days, "2026-02-01T00:00:00Z")).toBe(3);
  });
});
