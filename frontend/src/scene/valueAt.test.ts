import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { valueAt } from "./valueAt";

const rising = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 0, max: 300 })), { minLength: 2, maxLength: 12 })
  .map((steps) =>
    steps.reduce<number[][]>((list, [step, nm]) => [...list, [(list.at(-1)?.[0] ?? -60) + step, nm]], []),
  );

describe("The torque at an angle", () => {
  it("is that of the points where they stand, and between two of them between theirs", () => {
    fc.assert(
      fc.property(rising, fc.double({ min: 0, max: 1, noNaN: true }), (points, share) => {
        points.forEach(([deg = 0, nm = 0]) => expect(valueAt(points, deg)).toBeCloseTo(nm, 9));
        points.slice(1).forEach(([deg = 0, nm = 0], before) => {
          const [fromDeg = 0, fromNm = 0] = points[before] ?? [];
          const value = valueAt(points, fromDeg + (deg - fromDeg) * share);
          expect(value).toBeGreaterThanOrEqual(Math.min(nm, fromNm) - 1e-9);
          expect(value).toBeLessThanOrEqual(Math.max(nm, fromNm) + 1e-9);
        });
      }),
    );
  });

  it("is the last one's past the end", () => {
    expect(
      valueAt(
        [
          [0, 10],
          [5, 20],
        ],
        9,
      ),
    ).toBe(20);
  });
});
