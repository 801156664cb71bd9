import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Visit } from "../api/types";
import { asPlanned, expected, loadOf, setReducer, steps } from "./setDraft";

const made = (kg: number) => ({ kg, text: `${kg} kg`, how: `Pin at ${kg}` });
const told = (kg: number) => ({ load: made(kg), light: made(5), says: "", alone: false });
const visit = {
  today: told(20),
  one_leg: told(10),
  repetitions: 12,
  choices: [5, 10, 15, 20, 25].map(made),
  felt: [
    { name: "front_thigh", title: "Front of the thigh", meaning: "works" },
    { name: "calf", title: "Calf", meaning: "elsewhere" },
    { name: "knee", title: "Knee", meaning: "joint" },
  ],
} as unknown as Visit;

describe("a set that is not written down yet", () => {
  it("begins as planned, and assumes nothing of the last repetition", () => {
    expect(asPlanned(visit)).toEqual({
      load_kg: null,
      repetitions: 12,
      last: null,
      reached: 1,
      felt: "front_thigh",
      sign: null,
      said: null,
      kind: "",
      helped: 0,
      movement: null,
      leg: "",
    });
  });

  it("lifts what is told for both legs or for one, until somebody steps it", () => {
    const draft = asPlanned(visit);
    expect(loadOf(visit, draft)).toBe(20);
    const left = setReducer(setReducer(draft, { type: "load", kg: 25 }), { type: "leg", leg: "left" });
    expect(loadOf(visit, left)).toBe(10);
    expect(loadOf(visit, setReducer(left, { type: "load", kg: 5 }))).toBe(5);
  });

  it("asks anew after each set how it went, and keeps the load", () => {
    const said = setReducer(setReducer(asPlanned(visit), { type: "load", kg: 15 }), {
      type: "say",
      fields: { last: "easy", reached: 0.5, sign: "roller_climbs", felt: "knee", repetitions: 8 },
    });
    expect(setReducer(said, { type: "written", visit })).toMatchObject({
      load_kg: 15,
      repetitions: 8,
      last: null,
      reached: 1,
      sign: null,
      felt: "front_thigh",
    });
  });

  it("steps along what the machine has, and comes back", () => {
    fc.assert(
      fc.property(fc.constantFrom(5, 10, 15, 20, 25), (kg) => {
        const { now, down, up } = steps(visit, kg);
        expect(now?.kg).toBe(kg);
        if (up) expect(steps(visit, up.kg).down?.kg).toBe(kg);
        if (down) expect(steps(visit, down.kg).up?.kg).toBe(kg);
      }),
    );
    expect(steps(visit, 7)).toEqual({ now: null, down: null, up: null });
    expect(steps(visit, null).now).toBeNull();
  });

  it("knows which muscle is expected", () => {
    expect(["front_thigh", "calf", "knee", null].map((name) => expected(visit, name))).toEqual([
      true,
      false,
      false,
      false,
    ]);
  });
});
