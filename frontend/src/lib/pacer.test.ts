import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { beatAt, setSeconds, type Tempo } from "./pacer";

const tempo = (up_s: number, hold_s: number, down_s: number, pause_s: number): Tempo => ({
  up_s,
  hold_s,
  down_s,
  pause_s,
  slow_s: null,
  set_s: null,
  most_repetitions: null,
});
const seconds = fc.integer({ min: 0, max: 9 });

describe("a paced set", () => {
  it("goes up, holds, comes down, repetition after repetition", () => {
    const slow = tempo(2, 1, 3, 0);
    expect([0, 2, 3, 5.5, 6].map((at) => beatAt(slow, 10, at)?.phase)).toEqual(["up", "hold", "down", "down", "up"]);
    expect(beatAt(slow, 10, 6)?.repetition).toBe(2);
    expect([setSeconds(slow, 10), beatAt(slow, 10, 60)]).toEqual([60, null]);
  });

  it("goes up slowly and then faster, in the seconds of one rising", () => {
    const twofold = { ...tempo(2.5, 0, 3, 0), slow_s: 1.5 };
    expect([0, 1.4, 1.5, 2.5].map((at) => beatAt(twofold, 10, at)?.phase)).toEqual(["slow", "slow", "fast", "down"]);
    expect(beatAt(twofold, 10, 1.5)).toMatchObject({ left_s: 1, whole_s: 1 });
    expect(setSeconds(twofold, 10)).toBe(55);
  });

  it("leaves out what takes no time", () => {
    expect([0, 1, 2, 3].map((at) => beatAt(tempo(1, 0, 2, 0), 3, at)?.phase)).toEqual(["up", "down", "down", "up"]);
    expect(beatAt(tempo(0, 0, 0, 0), 3, 0)).toBeNull();
  });

  it("ends a timed set after its time or at its ceiling", () => {
    const timed = { ...tempo(5, 0, 5, 0), set_s: 60, most_repetitions: 4 };
    expect([beatAt(timed, 10, 39)?.repetition, beatAt(timed, 10, 41)]).toEqual([4, null]);
    expect(setSeconds(timed, 10)).toBe(60);
  });

  it("never has more left of a phase than the whole of it, and counts upwards", () => {
    fc.assert(
      fc.property(
        seconds,
        seconds,
        seconds,
        seconds,
        fc.double({ min: 0, max: 200, noNaN: true }),
        (up, hold, down, pause, at) => {
          const beat = beatAt(tempo(up, hold, down, pause), 8, at);
          if (beat === null) return;
          expect(beat.left_s).toBeGreaterThan(0);
          expect(beat.left_s).toBeLessThanOrEqual(beat.whole_s);
          expect(beat.repetition).toBeLessThanOrEqual(8);
          expect((beat.repetition - 1) * (up + hold + down + pause)).toBeLessThanOrEqual(at);
        },
      ),
    );
  });
});
