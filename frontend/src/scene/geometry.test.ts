import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { add, arc, at, capsule, degreesOf, ellipse, norm, outline, type Point, scale, sub, towards } from "./geometry";

const mm = fc.integer({ min: -900, max: 900 });
const point = fc.tuple(mm, mm);
/** Every pair of coordinates of a path, in its own order. */
const numbers = (path: string): number[] => (path.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);

describe("paths", () => {
  it("turn y upside down, for a drawing grows downwards", () => {
    expect(arc([0, 0], 100, 0, 90)).toBe("M100.0 0.0A100.0 100.0 0 0 0 0.0 -100.0");
    expect(arc([0, 0], 100, 0, -90)).toContain("0 0 1");
  });

  it("begin and end an arc where its angles say", () => {
    fc.assert(
      fc.property(
        point,
        fc.integer({ min: 10, max: 500 }),
        fc.integer({ min: -170, max: 170 }),
        fc.integer({ min: -170, max: 170 }),
        (centre, radius, from, to) => {
          const drawn = numbers(arc(centre, radius, from, to));
          const [start, end] = [from, to].map((deg) => add(centre, scale(towards(deg), radius))) as [Point, Point];
          expect(drawn[0]).toBeCloseTo(start[0], 0);
          expect(drawn[1]).toBeCloseTo(-start[1], 0);
          expect(drawn.at(-2)).toBeCloseTo(end[0], 0);
          expect(drawn.at(-1)).toBeCloseTo(-end[1], 0);
        },
      ),
    );
  });

  it("close a limb whatever its ends, with no number that is none", () => {
    fc.assert(
      fc.property(
        point,
        point,
        fc.integer({ min: 1, max: 150 }),
        fc.integer({ min: 1, max: 150 }),
        (from, to, one, other) => {
          const path = capsule(from, one, to, other);
          expect(path.endsWith("Z")).toBe(true);
          expect(path).not.toContain("NaN");
        },
      ),
    );
  });

  it("keep every corner of a rounded outline within the outline's box", () => {
    fc.assert(
      fc.property(fc.uniqueArray(point, { minLength: 3, maxLength: 6, selector: String }), (corners) => {
        const drawn = numbers(outline(corners, 14));
        const across = drawn.filter((_, index) => index % 2 === 0);
        expect(Math.min(...across)).toBeGreaterThanOrEqual(Math.min(...corners.map(([x]) => x)) - 0.06);
        expect(Math.max(...across)).toBeLessThanOrEqual(Math.max(...corners.map(([x]) => x)) + 0.06);
      }),
    );
  });
});

describe("points", () => {
  it("lie as far from one another either way, and their angle is that of their direction", () => {
    fc.assert(
      fc.property(point, point, (one, other) => {
        expect(norm(sub(one, other))).toBeCloseTo(norm(sub(other, one)), 9);
      }),
    );
    fc.assert(
      fc.property(fc.integer({ min: -179, max: 179 }), (deg) => {
        expect(degreesOf(towards(deg))).toBeCloseTo(deg, 6);
      }),
    );
    expect(at([3])).toEqual([3, 0]);
  });
});

describe("the ellipse of what is unsure", () => {
  it("is as long as the SDs along its axes where they are independent", () => {
    expect(ellipse(100, 25, 0, 2)).toMatchObject({ rx: 20, ry: 10 });
    expect(Math.abs(ellipse(100, 25, 0, 2).turnDeg)).toBe(0);
  });

  it("keeps its area's measure: the product of its half axes is that of the determinant", () => {
    const variance = fc.integer({ min: 1, max: 900 });
    fc.assert(
      fc.property(variance, variance, fc.double({ min: -0.95, max: 0.95, noNaN: true }), (x, y, share) => {
        const both = share * Math.sqrt(x * y);
        const { rx, ry } = ellipse(x, y, both, 1);
        expect(rx * ry).toBeCloseTo(Math.sqrt(x * y - both * both), 4);
        expect(rx).toBeGreaterThanOrEqual(ry);
      }),
    );
  });
});
