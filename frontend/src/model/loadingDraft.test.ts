import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Loading } from "../api/types";
import { loadingDraftOf, loadingOf, loadingProblems, noLoading, parseMasses } from "./loadingDraft";

describe("how a machine is loaded", () => {
  it.each([
    ["5-20 by 5, 25", [5, 10, 15, 20, 25]],
    ["2.5, 5", [2.5, 5]],
    ["", []],
    ["5, five", null],
    ["5, 5", null],
    ["0", null],
  ])("%s", (text, masses) => expect(parseMasses(text)).toEqual(masses));

  it("never takes long, whatever run is typed", () => {
    expect(parseMasses("0-999999 by 0.0001")).toBeNull();
  });

  const masses = fc.uniqueArray(
    fc.integer({ min: 1, max: 4000 }).map((tenths) => tenths / 10),
    { minLength: 1, maxLength: 20 },
  );
  const stack = fc
    .tuple(masses, fc.constantFrom({}, { reach: true }, { reach: false }))
    .map(([list, reach]): Loading => ({ kind: "stack", unit: "kg", masses: list, addons: [], ratio: null, ...reach }));
  const sled = fc.nat(90).map((deg): Loading => ({ kind: "sled", unit: "lb", bare: 12, horns: 2, incline_deg: deg }));
  const plates = fc
    .nat(60)
    .map((bare): Loading => ({ kind: "plates", unit: "kg", bare, horns: bare % 2 === 0 ? 2 : 1 }));

  it("comes back from what is typed as it was, without a complaint", () => {
    fc.assert(
      fc.property(fc.oneof(stack, sled, plates), (loading) => {
        const draft = loadingDraftOf(loading);
        expect(loadingOf(draft)).toEqual(loading);
        expect(loadingProblems(draft)).toEqual({});
      }),
    );
  });

  it("is nothing where nobody described it", () => {
    expect([loadingOf(noLoading), loadingDraftOf(null)]).toEqual([null, noLoading]);
  });

  it("says what is wrong, by field", () => {
    expect(Object.keys(loadingProblems({ ...noLoading, kind: "stack", addons: "x" }))).toEqual(["masses", "addons"]);
    expect(Object.keys(loadingProblems({ ...noLoading, kind: "sled", bare: "much" }))).toEqual(["incline", "bare"]);
  });
});
