import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Aim } from "../api/types";
import { aimOf, draftOf, EMPTY } from "./aimsDraft";

const tenths = (least: number) => fc.integer({ min: least * 10, max: 600 }).map((tenth) => tenth / 10);
const aims: fc.Arbitrary<Aim> = fc.record({
  name: fc.string({ minLength: 1, maxLength: 30 }).filter((name) => name.trim() === name),
  sets: fc.integer({ min: 1, max: 10 }),
  repetitions: fc.integer({ min: 1, max: 100 }),
  seconds: fc.option(fc.integer({ min: 5, max: 600 })),
  rest_s: fc.integer({ min: 0, max: 900 }),
  tempo: fc.option(fc.record({ up_s: tenths(0.5), hold_s: tenths(0), down_s: tenths(0.5), pause_s: tenths(0) })),
});

describe("the table by aim", () => {
  test("comes back as it was, whatever it holds", () => {
    fc.assert(
      fc.property(aims, (aim) => {
        expect(aimOf(draftOf(aim))).toEqual(aim);
      }),
    );
  });

  test("says which part is wrong", () => {
    const row = { ...EMPTY, name: "Own" };
    expect(aimOf(EMPTY)).toBe("name");
    expect(aimOf({ ...row, sets: "0" })).toBe("sets");
    expect(aimOf({ ...row, repetitions: "" })).toBe("repetitions");
    expect(aimOf({ ...row, repetitions: "ten", seconds: "60" })).toBe("repetitions");
    expect(aimOf({ ...row, seconds: "1" })).toBe("seconds");
    expect(aimOf({ ...row, tempo: "2-1-3" })).toBe("tempo");
    expect(aimOf({ ...row, tempo: "0-1-3-0" })).toBe("tempo");
    expect(aimOf({ ...row, rest: "-1" })).toBe("rest");
    expect(aimOf({ ...row, repetitions: "", seconds: "60" })).toMatchObject({ repetitions: null, seconds: 60 });
    expect(aimOf({ ...row, tempo: "2.5-0-3-0" })).toMatchObject({ tempo: { up_s: 2.5, down_s: 3 } });
  });
});
