import { describe, expect, it } from "vitest";
import { parseBands, parsePlates, parseSizes } from "./equipmentDraft";

describe("what the gym owns, as it is typed", () => {
  it("reads sizes each once and in order, and none of a list in which something is none", () => {
    expect(parseSizes("40, 20;20 10")).toEqual([10, 20, 40]);
    expect(parseSizes(" ")).toEqual([]);
    expect(["0", "201", "20 mm", "20, thick"].map(parseSizes)).toEqual([null, null, null, null]);
    expect(parseSizes("1, 200")).toEqual([1, 200]);
  });

  it("reads plates in kg unless lb stands behind the mass", () => {
    expect(parsePlates("20 x 3, 2.5×1; 45 LB x 2")).toEqual([
      { mass: 20, unit: "kg", pairs: 3 },
      { mass: 2.5, unit: "kg", pairs: 1 },
      { mass: 45, unit: "lb", pairs: 2 },
    ]);
    expect(parsePlates("")).toEqual([]);
  });

  it("refuses what no gym has, and more than twelve kinds", () => {
    expect(["20", "20 x", "0.05 x 1", "101 x 1", "20 x 0", "20 x 21", "20 st x 1"].map(parsePlates)).toEqual(
      Array(7).fill(null),
    );
    const kinds = (count: number) => Array.from({ length: count }, (_, at) => `${at + 1} x 1`).join(", ");
    expect(parsePlates(kinds(12))).toHaveLength(12);
    expect(parsePlates(kinds(13))).toBeNull();
  });

  it("reads bands by name and newtons, and refuses what is half said or said twice", () => {
    expect(parseBands("light red 60, black 180 N")).toEqual([
      { name: "light red", newton: 60 },
      { name: "black", newton: 180 },
    ]);
    expect(parseBands(" ")).toEqual([]);
    expect(["red", "60", "red 4", "red 401", "red 60, Red 80", "red 60, blue 60"].map(parseBands)).toEqual(
      Array(6).fill(null),
    );
  });
});
