import { expect, it } from "vitest";
import { sameAids, sameMarks } from "./same";

it("compares marks by those that the first has, and cushions whole", () => {
  expect(sameMarks({ seat: "3" }, { seat: "3", roller: "B" })).toBe(true);
  expect(sameMarks({ seat: "3" }, { seat: "4" })).toBe(false);
  expect(sameAids({ hip_pad_mm: 30 }, { hip_pad_mm: 30 })).toBe(true);
  expect(sameAids({ hip_pad_mm: 30 }, { hip_pad_mm: 45 })).toBe(false);
});
