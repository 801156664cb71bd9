import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { tempoOf, tempoText } from "./tempoText";
import { draftOf, isTwofold, rowOf } from "./temposDraft";

const tenths = (from: number, to = 60) => fc.integer({ min: from * 10, max: to * 10 }).map((tenth) => tenth / 10);
const row = { tempo: "1+1-0-3-1", degrees: "15" };

describe("a tempo as it is typed", () => {
  it("comes back as it went out, up in one part or in two", () => {
    const seconds = fc
      .record({
        up_s: tenths(0.5),
        hold_s: tenths(0),
        down_s: tenths(0.5),
        pause_s: tenths(0),
        slow: fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        twofold: fc.boolean(),
      })
      .map(({ slow, twofold, ...given }) => ({
        ...given,
        slow_s: twofold ? Math.round(given.up_s * slow * 10) / 10 : null,
      }))
      .filter(({ slow_s, up_s }) => slow_s === null || (slow_s > 0 && slow_s < up_s));
    fc.assert(
      fc.property(seconds, (given) => {
        expect(tempoOf(tempoText(given))).toEqual(given);
      }),
    );
  });

  it("is none where a part is missing, nothing goes faster, or nobody is so slow", () => {
    for (const text of [
      "",
      "2-1-3",
      "2-1-3-0-0",
      "0+2-1-3-0",
      "2+0-1-3-0",
      "1+1+1-0-3-0",
      "2-1-0-0",
      "0.4-0-3-0",
      "40+30-0-3-0",
      "2-x-3-0",
    ])
      expect(tempoOf(text), text).toBeNull();
    expect(tempoOf(" 1,5 + 1 - 0 - 3 - 0 ")).toEqual({ up_s: 2.5, slow_s: 1.5, hold_s: 0, down_s: 3, pause_s: 0 });
  });
});

describe("a gym's own seconds for a kind of machine", () => {
  it("are the house rule's where nothing is typed, and say over how many degrees a start is slow", () => {
    expect(rowOf("curl", { tempo: " ", degrees: "15" })).toBeNull();
    expect(rowOf("curl", row)).toEqual({
      family: "curl",
      up_s: 2,
      slow_s: 1,
      hold_s: 0,
      down_s: 3,
      pause_s: 1,
      slow_deg: 15,
    });
    expect(rowOf("curl", { tempo: "2-1-3-0", degrees: "x" })).toMatchObject({ slow_s: null, slow_deg: null });
    expect([rowOf("curl", { ...row, degrees: "0" }), rowOf("curl", { ...row, tempo: "2" })]).toEqual([
      "degrees",
      "tempo",
    ]);
    expect([isTwofold(row), isTwofold({ ...row, tempo: "2-1-3-0" })]).toEqual([true, false]);
  });

  it("stand in the form as they are kept", () => {
    const kept = { family: "curl", title: "Curl", here: true, by_rule: "2-1-3-0" };
    const tempo = { up_s: 2, slow_s: 1, hold_s: 0, down_s: 3, pause_s: 1, slow_deg: 20, says: "1+1-0-3-1" };
    expect(draftOf({ tempos: [{ ...kept, tempo }], version: 1, usual_slow_deg: 15 })).toEqual({
      curl: { tempo: "1+1-0-3-1", degrees: "20" },
    });
    expect(draftOf({ tempos: [{ ...kept, tempo: null }], version: 1, usual_slow_deg: 15 })).toEqual({
      curl: { tempo: "", degrees: "15" },
    });
  });
});
