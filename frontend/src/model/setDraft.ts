// What is said of a set before it is written down: begun as planned, the whole range, felt where it should work; how the last repetition went is
// asked, never assumed.
import type { CueSaid, Movement, TodayLoad, Visit } from "../api/types";

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
  /** what was said before it, and how it went on */
  said: CueSaid | null;
  /** with which help; "" for a set of one's own */
  kind: "" | "drop" | "partner" | "lowering" | "self";
  /** repetitions with help, beside the others */
  helped: number;
  /** the reading by a phone that it was filled in from */
  movement: string | null;
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
  said: null,
  kind: "",
  helped: 0,
  movement: null,
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
      return {
        ...draft,
        ...(draft.kind === "" ? {} : { load_kg: null }),
        last: null,
        reached: 1,
        sign: null,
        said: null,
        kind: "",
        helped: 0,
        movement: null,
        felt: worksIn(event.visit),
      };
  }
}

/** What a phone read, as the set is written down unless somebody says otherwise. */
export function asRead({ id, review, whole_share }: Movement): Partial<SetDraft> {
  if (!review || review.repetitions.length === 0) return {};
  const { reached, last, sign, repetitions } = review;
  return {
    movement: id,
    repetitions: repetitions.length,
    reached: reached === null || reached >= (whole_share ?? 1) ? 1 : reached,
    ...(last ? { last } : {}),
    ...(sign ? { sign } : {}),
  };
}

export const todayFor = (visit: Visit, leg: Leg): TodayLoad => (leg === "" ? visit.today : visit.one_leg);

/** What somebody could say something to: a sign, or a place in which it should not be felt; now, or at the set before. */
export function toBeSaid(visit: Visit, draft: SetDraft) {
  const last = visit.going_on?.sets.at(-1);
  const sign = visit.signs.find(({ name, title }) => (draft.sign ? name === draft.sign : title === last?.sign));
  return (
    sign ??
    visit.felt.find(
      ({ name, title, meaning }) => meaning === "elsewhere" && (name === draft.felt || title === last?.felt),
    ) ??
    null
  );
}

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
