import { describe, expect, it } from "vitest";
import type { Visited } from "../api/types";
import { runs } from "./VisitLine";

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
