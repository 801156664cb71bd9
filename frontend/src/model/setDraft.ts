// What is said of a set before it is written down: begun as planned, the whole range, felt where it should work; how the last repetition went is
// asked, never assumed.
import type { TodayLoad, Visit } from "../api/types";

export type Last = "easy" | "clean" | "not_reached";
export type Leg = "" | "left" | "right";
export type SetDraft = {
  /** null: as told for today */
  load_kg: number | null;
  repetitions: number;
  last: Last | null;
  reached: number;
  felt: string | null;
  sign: string | null;
  leg: Leg;
};
export type SetEvent =
  | { type: "say"; fields: Partial<Omit<SetDraft, "load_kg" | "leg">> }
  | { type: "load"; kg: number }
  | { type: "leg"; leg: Leg }
  | { type: "written"; visit: Visit };

const worksIn = (visit: Visit) => visit.felt.find(({ meaning }) => meaning === "works")?.name ?? null;

export const asPlanned = (visit: Visit): SetDraft => ({
  load_kg: null,
  repetitions: visit.repetitions,
  last: null,
  reached: 1,
  felt: worksIn(visit),
  sign: null,
  leg: "",
});

/** The next set begins as this one was; how it went, and what was seen, is asked anew. */
export function setReducer(draft: SetDraft, event: SetEvent): SetDraft {
  switch (event.type) {
    case "say":
      return { ...draft, ...event.fields };
    case "load":
      return { ...draft, load_kg: event.kg };
    case "leg":
      return { ...draft, leg: event.leg, load_kg: null };
    case "written":
      return { ...draft, last: null, reached: 1, sign: null, felt: worksIn(event.visit) };
  }
}

export const todayFor = (visit: Visit, leg: Leg): TodayLoad => (leg === "" ? visit.today : visit.one_leg);

/** What stands on the machine for this draft, in kg; null where nobody described how it is loaded. */
export const loadOf = (visit: Visit, draft: SetDraft): number | null =>
  draft.load_kg ?? todayFor(visit, draft.leg)?.load?.kg ?? null;

/** The loads one step down and up from where it is. */
export function steps(visit: Visit, kg: number | null) {
  const at = kg === null ? -1 : visit.choices.findIndex((choice) => Math.abs(choice.kg - kg) < 0.001);
  return {
    now: visit.choices[at] ?? null,
    down: at > 0 ? (visit.choices[at - 1] ?? null) : null,
    up: at >= 0 ? (visit.choices[at + 1] ?? null) : null,
  };
}

/** What of the figure a set was felt in, told for good only where it is expected: anything else is asked about again. */
export const expected = (visit: Visit, felt: string | null): boolean =>
  visit.felt.some(({ name, meaning }) => name === felt && meaning === "works");
