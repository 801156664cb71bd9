import { describe, expect, it } from "vitest";
import { ticks } from "./scale";

describe("the scale of a line of time", () => {
  it("is marked every five minutes, fewer where it is long", () => {
    expect(ticks(12)).toEqual([0, 5, 10]);
    expect(ticks(30)).toHaveLength(7);
    expect(ticks(95)).toEqual([0, 10, 20, 30, 40, 50, 60, 70, 80, 90]);
    expect(ticks(250).length).toBeLessThan(14);
  });
});
