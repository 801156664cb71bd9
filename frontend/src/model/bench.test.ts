import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { FittingState, Sheet } from "../api/types";
import { activeStep, type Bench, type BenchEvent, benchReducer, neighbour, startBench } from "./bench";
import { WRITE } from "./sheet";

const ADJUSTERS = [
  { label: "seat", name: "Seat", marks: ["1", "2", "3", "4"] },
  { label: "roller", name: "Roller", marks: ["A", "B", "C"] },
];
const ORDER = ["@before", "seat", "@support", "roller", "@again", "@watch"];

const sheet: Sheet = {
  marks: { seat: "2", roller: "B" },
  aids: {},
  load: "",
  signs: [],
  note: "",
  knee_off_mm: null,
  roller_seen: false,
  flow: { at: null, done: {}, skipped: {} },
  work: {
    load_kg: null,
    left_kg: null,
    right_kg: null,
    repetitions: null,
    sets: null,
    last: null,
    felt: null,
    felt_side: null,
    belt: null,
  },
  cue: "",
  reason: "",
  trail: [],
  creep: {},
};
const fitting = { ...sheet, version: 3, updated_at: null } as unknown as FittingState;
const after = (...events: BenchEvent[]): Bench => events.reduce(benchReducer, startBench(fitting, sheet));
const step = (label: string, by: 1 | -1): BenchEvent => ({
  type: "step",
  adjusters: ADJUSTERS,
  order: ORDER,
  label,
  by,
});

describe("the bench", () => {
  it("steps an adjuster from mark to mark, and stops at the ends", () => {
    expect(after(step("seat", 1)).sheet.marks.seat).toBe("3");
    expect(after(step("seat", 1), step("seat", 1), step("seat", 1)).sheet.marks.seat).toBe("4");
    expect(neighbour(ADJUSTERS, "roller", "A", -1)).toBeNull();
    expect(neighbour(ADJUSTERS, "lamp", "A", 1)).toBeNull();
  });

  it("goes to the step whose mark is set, but not from checking again or watching", () => {
    expect(activeStep(after(step("roller", 1)), ORDER)).toBe("roller");
    expect(activeStep(after({ type: "choose", id: "@again" }, step("roller", 1)), ORDER)).toBe("@again");
  });

  it("begins where it was left, and at the first step where that is no more", () => {
    const left = { ...sheet, flow: { ...sheet.flow, at: "roller" } };
    expect(activeStep(startBench(fitting, left), ORDER)).toBe("roller");
    expect(activeStep(startBench(fitting, { ...sheet, flow: { ...sheet.flow, at: "lamp" } }), ORDER)).toBe("@before");
    expect(activeStep(startBench(fitting, sheet), [])).toBe(WRITE);
  });

  it("notes with which marks a step was done, or why it was skipped, never both", () => {
    const done = after({ type: "choose", id: "seat" }, { type: "next", order: ORDER });
    expect(done.sheet.flow).toMatchObject({ at: "@support", done: { seat: { marks: sheet.marks } } });
    const skipped = benchReducer(benchReducer(done, { type: "choose", id: "seat" }), {
      type: "skip",
      order: ORDER,
      reason: "stuck",
    });
    expect(skipped.sheet.flow).toMatchObject({ done: {}, skipped: { seat: "stuck" } });
    const again = benchReducer(benchReducer(skipped, { type: "choose", id: "seat" }), { type: "next", order: ORDER });
    expect(again.sheet.flow.skipped).toEqual({});
  });

  it("writes down a try with where it came from, and what came of it", () => {
    const tried = after(
      { type: "try", sign: "roller_climbs", adjuster: "seat", to: "3" },
      { type: "tried", index: 0, outcome: "better" },
    );
    expect(tried.sheet.trail).toEqual([
      { sign: "roller_climbs", adjuster: "seat", from: "2", to: "3", outcome: "better" },
    ]);
  });

  it("is kept only with what stands there now", () => {
    const moved = after(step("seat", 1));
    expect(moved.saving.kind).toBe("saving");
    expect(benchReducer(moved, { type: "saved", sheet: moved.sheet, version: 4, at: "now" }).saving).toEqual({
      kind: "kept",
      at: "now",
    });
    const meanwhile = benchReducer(moved, step("seat", 1));
    expect(benchReducer(meanwhile, { type: "saved", sheet: moved.sheet, version: 4, at: "now" }).saving.kind).toBe(
      "saving",
    );
  });

  it("never overwrites a colleague's silently: mine over theirs, or theirs with mine to be undone", () => {
    const theirs = { ...fitting, marks: { seat: "4", roller: "C" }, version: 9 } as FittingState;
    const torn = benchReducer(after(step("seat", 1)), { type: "conflict", theirs });
    const taken = benchReducer(torn, { type: "takeTheirs" });
    expect([taken.sheet.marks.seat, taken.version, taken.saving.kind]).toEqual(["4", 9, "kept"]);
    expect(benchReducer(taken, { type: "undo" }).sheet.marks.seat).toBe("3");
    expect(benchReducer(torn, { type: "keepMine", version: 9 })).toMatchObject({
      version: 9,
      saving: { kind: "saving" },
    });
    expect(after({ type: "takeTheirs" }).sheet).toEqual(sheet);
  });

  const moves = fc.array(
    fc.oneof(
      fc.constantFrom(step("seat", 1), step("seat", -1), step("roller", 1), step("roller", -1)),
      fc.constantFrom<BenchEvent>(
        { type: "next", order: ORDER },
        { type: "previous", order: ORDER },
        { type: "choose", id: "seat" },
      ),
      fc.constant<BenchEvent>({ type: "write", fields: { cue: "slow" } }),
      fc.integer({ min: 0, max: 60 }).map((mm): BenchEvent => ({ type: "aid", name: "hip_pad_mm", mm })),
    ),
    { maxLength: 40 },
  );

  it("undoes every move back to the first, and keeps what was written", () => {
    fc.assert(
      fc.property(moves, (events) => {
        const bench = after(...events);
        const back = bench.past.reduce((one) => benchReducer(one, { type: "undo" }), bench);
        expect(back.past).toEqual([]);
        expect([back.sheet.marks, back.sheet.aids]).toEqual([sheet.marks, sheet.aids]);
        expect(back.sheet.cue).toBe(bench.sheet.cue);
      }),
    );
  });

  it("stands on a mark of each adjuster and on a step of the order, whatever is pressed", () => {
    fc.assert(
      fc.property(moves, (events) => {
        const bench = after(...events);
        for (const { label, marks } of ADJUSTERS) expect(marks).toContain(bench.sheet.marks[label]);
        expect([...ORDER, WRITE]).toContain(activeStep(bench, ORDER));
      }),
    );
  });
});
