import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fromMm, lengthIn, lengthText, parseNumber, parseSigned, toMm, wholeText } from "./lengths";

const unit = fc.constantFrom("cm" as const, "in" as const);

describe("lengths", () => {
  it("are read and typed in centimetres or inches", () => {
    expect(lengthText(604, "cm")).toBe("60.4 cm");
    expect(lengthText(604, "in")).toBe("23.8 in");
    expect(lengthIn(604, "cm")).toBe(60.4);
  });

  it("stand whole in a drawing, with a real minus and no nought below nothing", () => {
    expect([wholeText(-16.2, "mm"), wholeText(-0.3, "mm"), wholeText(9.8, "deg")]).toEqual(["−16 mm", "0 mm", "10°"]);
  });

  it("come back in millimetres as they were", () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 3000, noNaN: true }), unit, (mm, shown) => {
        expect(toMm(fromMm(mm, shown), shown)).toBeCloseTo(mm, 9);
      }),
    );
  });

  it("are numbers with a point or a comma, and nothing else", () => {
    expect([parseNumber("60,4"), parseNumber(" 60.4 "), parseNumber("12")]).toEqual([60.4, 60.4, 12]);
    for (const text of ["", "six", "-3", "1e9", "6.", "60.4.1", "0x10"]) expect(parseNumber(text)).toBeNull();
    fc.assert(
      fc.property(fc.string(), (text) => {
        const number = parseNumber(text);
        expect(number === null || (Number.isFinite(number) && number >= 0)).toBe(true);
      }),
    );
  });

  it("reads a minus, typed or printed, before what is a number", () => {
    expect([parseSigned("-10"), parseSigned(" −4,5 "), parseSigned("7")]).toEqual([-10, -4.5, 7]);
    for (const text of ["", "-", "--3", "-six", "3-"]) expect(parseSigned(text)).toBeNull();
  });
});
