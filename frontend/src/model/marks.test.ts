import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { evenTravel, isEven, marksProblem, marksText, parseMarks, told } from "./marks";

describe("marks as they are entered", () => {
  it.each([
    ["1-5", ["1", "2", "3", "4", "5"]],
    ["A-C, dot", ["A", "B", "C", "dot"]],
    ["I-IV", ["I", "II", "III", "IV"]],
    ["1-3, 5-6", ["1", "2", "3", "5", "6"]],
    ["3 lines", ["line 1", "line 2", "line 3"]],
    ["5-1", ["5", "4", "3", "2", "1"]],
  ])("%s", (text, marks) => expect(parseMarks(text)).toEqual(marks));

  const mark = fc.oneof(
    fc.integer({ min: 0, max: 99 }).map(String),
    fc.constantFrom(...Array.from("ABCDEFabcdef"), "dot", "red", "I", "II", "III", "IV", "IX"),
  );

  it("come back from their short text as they were", () => {
    fc.assert(
      fc.property(fc.uniqueArray(mark, { minLength: 1, maxLength: 20 }), (marks) => {
        expect(parseMarks(marksText(marks))).toEqual(marks);
      }),
    );
  });

  it("never take long, however long a run is typed", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 999 }), fc.integer({ min: 0, max: 999 }), (from, to) => {
        expect(parseMarks(`${from}-${to}`).length).toBeLessThanOrEqual(61);
      }),
    );
    expect(marksProblem(parseMarks("1-99"))).toBe("At most 60 marks.");
  });

  it("say what is wrong with them", () => {
    expect(marksProblem([])).toContain("At least one mark");
    expect(marksProblem(["1", "2", "1"])).toBe("1 stands twice.");
    expect(marksProblem(["x".repeat(21)])).toContain("too long");
    expect(marksProblem(["1", "2"])).toBeNull();
  });
});

describe("travel from the first to the last mark", () => {
  const millimetres = fc.integer({ min: -3000, max: 3000 });

  it("is even, begins at nought and ends where it was taped", () => {
    fc.assert(
      fc.property(millimetres, fc.integer({ min: 2, max: 60 }), (length, count) => {
        const travel = evenTravel(length, count);
        expect(travel).toHaveLength(count);
        expect(travel[0]).toBeCloseTo(0, 9);
        expect(travel.at(-1)).toBe(length);
        expect(isEven(travel)).toBe(true);
      }),
    );
  });

  it("is not even where one mark stands elsewhere", () => {
    expect(isEven([0, 10, 21, 30])).toBe(false);
    expect(evenTravel(50, 1)).toEqual([0]);
  });
});

describe("a mark as it is told", () => {
  it("comes with what those show which take it, where theirs are printed otherwise", () => {
    const pads = { marks: ["1", "2", "3"], also: [["A", "B", "C"]] };
    expect([told(pads, "2"), told({ marks: ["1"] }, "1"), told(pads, undefined)]).toEqual(["2 / B", "1", "–"]);
  });
});
