// A machine as it is being entered or corrected: texts as typed, until they are sent.
import { say } from "../lib/say";
import type { Family, MachinePage, MachineState, WalkRound, Moves } from "../api/types";
import { type LoadingDraft, loadingDraftOf, loadingOf, loadingProblems, noLoading } from "./loadingDraft";
import { marksProblem, marksText, parseMarks } from "./marks";
import { parseSigned } from "../lib/lengths";

export type AdjusterDraft = {
  key: number;
  label: string;
  kind: string;
  forwards: boolean;
  marks: string;
  /** the key of the one whose mark it takes; null where it is set by itself */
  sameAs: number | null;
  walkRound: WalkRound;
};

/** part: "" for what all exercises share, or an exercise's name. */
export type MachineDraft = {
  family: string;
  name: string;
  code: string;
  place: string;
  state: MachineState;
  stateNote: string;
  gettingIn: string;
  gettingOut: string;
  leftBehind: string;
  slackFrom: string;
  massLimit: string;
  leastAge: string;
  cushionsAllowed: boolean;
  belt: boolean;
  oneLeg: boolean;
  loading: LoadingDraft;
  moves: Moves;
  parts: Record<string, AdjusterDraft[]>;
  /** part and what is decided, said not to be on the machine; null where nothing is asked */
  absent: string[] | null;
};

export const emptyMachine: MachineDraft = {
  family: "",
  name: "",
  code: "",
  place: "",
  state: "in_use",
  stateNote: "",
  gettingIn: "",
  gettingOut: "",
  leftBehind: "",
  slackFrom: "",
  massLimit: "",
  leastAge: "",
  cushionsAllowed: false,
  belt: false,
  oneLeg: false,
  loading: noLoading,
  moves: { in: [], out: [] },
  parts: { "": [] },
  absent: [],
};

const WALK_ROUND: WalkRound = { side: "", handle: "", unlocks: "", reachable_seated: true, weight_off_first: false };

type Kind = Family["exercises"][number]["kinds"][number];

/** What adjusters of one part may move: one that is shared, what moves several exercises at once and whatever any may. */
export function kindsOf(family: Family, part: string): Kind[] {
  const parts = part === "" ? family.exercises : family.exercises.filter(({ name }) => name === part);
  const all = [...(part === "" ? family.shared_kinds : []), ...parts.flatMap(({ kinds }) => kinds)];
  return all.filter((kind, index) => all.findIndex(({ name }) => name === kind.name) === index);
}

/** The parts of a family: what is shared, then each exercise of a station. */
export const partsOf = (family: Family): { name: string; title: string | null }[] =>
  family.exercises.length === 1
    ? [{ name: "", title: null }]
    : [
        { name: "", title: say("machineDraft.shared") },
        ...family.exercises.map(({ name, title }) => ({ name, title })),
      ];

export type Asked = { key: string; kind: Kind; title: string };

/** What such a machine usually has, which was neither entered yet nor said not to be there. */
export function askedOf(draft: MachineDraft, family: Family, part: string): Asked[] {
  const { absent } = draft;
  if (absent === null) return [];
  const names = part === "" ? family.asked : (family.exercises.find(({ name }) => name === part)?.asked ?? []);
  const kinds = kindsOf(family, part).filter(({ name }) => names.includes(name));
  const entered = (draft.parts[part] ?? []).map(({ kind }) => decided(kinds.find(({ name }) => name === kind)));
  return kinds
    .filter((kind, index) => kinds.findIndex((one) => decided(one) === decided(kind)) === index)
    .filter((kind) => !entered.includes(decided(kind)) && !absent.includes(`${part} ${decided(kind)}`))
    .map((kind) => ({
      key: `${part} ${decided(kind)}`,
      kind,
      title: kinds
        .filter((one) => decided(one) === decided(kind))
        .map(({ title }) => title)
        .join(", or: "),
    }));
}

/** Kinds that decide one thing are ways to build it. */
const decided = (kind: Kind | undefined) => kind?.decides ?? kind?.name;

export const newAdjuster = (kind: Kind, key: number): AdjusterDraft => ({
  key,
  label: kind.label,
  kind: kind.name,
  forwards: true,
  marks: "",
  sameAs: null,
  walkRound: WALK_ROUND,
});

const text = (number: number | null): string => (number === null ? "" : String(number));

export function draftOf({ machine, facts, exercises }: MachinePage): MachineDraft {
  const parts: Record<string, AdjusterDraft[]> = { "": [] };
  const following: [label: string, leader: string, part: string][] = [];
  exercises.forEach((exercise, at) => {
    for (const adjuster of exercise.adjusters) {
      const part = exercise.name === "" || adjuster.shared ? "" : exercise.name;
      if (part === "" && at > 0) continue; // the shared ones stand in every exercise
      parts[part] = [
        ...(parts[part] ?? []),
        {
          key: Object.values(parts).flat().length,
          label: adjuster.label,
          kind: adjuster.kind ?? "recorded",
          forwards: adjuster.forwards,
          marks: marksText(adjuster.marks),
          sameAs: null,
          walkRound: adjuster.walk_round,
        },
      ];
      if (adjuster.same_as !== null) following.push([adjuster.label, adjuster.same_as, part]);
    }
  });
  for (const [label, leader, part] of following) {
    const list = parts[part] ?? [];
    const key = list.find((one) => one.label === leader)?.key ?? null;
    parts[part] = list.map((one) => (one.label === label ? { ...one, sameAs: key } : one));
  }
  return {
    family: machine.family,
    name: machine.name,
    code: machine.code,
    place: machine.place,
    state: machine.state,
    stateNote: machine.state_note,
    gettingIn: facts.getting_in,
    gettingOut: facts.getting_out,
    leftBehind: facts.left_behind,
    slackFrom: text(facts.slack_from_deg),
    massLimit: text(facts.user_mass_limit_kg),
    leastAge: text(facts.least_age_years),
    cushionsAllowed: facts.cushions_allowed,
    belt: facts.belt,
    oneLeg: facts.one_leg,
    loading: loadingDraftOf(facts.loading),
    moves: { in: facts.moves.in, out: facts.moves.out },
    parts,
    absent: null,
  };
}

export type Problems = Record<string, string>;

const NUMBERS = [
  ["slackFrom", -60, 180, say("units.degrees")],
  ["massLimit", 40, 400, say("units.kilograms")],
  ["leastAge", 8, 100, say("units.years")],
] as const;

/** What is wrong with a draft, by field; empty where nothing is. */
export function problemsOf(draft: MachineDraft, family: Family | undefined): Problems {
  const problems: Problems = {};
  const asked = family ? partsOf(family).flatMap(({ name }) => askedOf(draft, family, name)) : [];
  for (const { key, title } of asked) problems[`asked ${key}`] = say("machineDraft.isItThere", { title });
  if (draft.family === "") problems["family"] = say("machineDraft.familyProblem");
  if (draft.name.trim() === "") problems["name"] = say("machineDraft.nameProblem");
  for (const [field, low, high, what] of NUMBERS) {
    const signed = draft[field].trim() === "" ? low : parseSigned(draft[field]);
    if (signed === null || signed < low || signed > high)
      problems[field] = say("machineDraft.rangeProblem", { low, high, what });
  }
  Object.assign(problems, loadingProblems(draft.loading));
  for (const adjusters of Object.values(draft.parts))
    for (const adjuster of adjusters) {
      const marks = marksProblem(parseMarks(adjuster.marks));
      if (marks) problems[`marks ${adjuster.key}`] = marks;
      if (adjuster.label.trim() === "") problems[`label ${adjuster.key}`] = say("machineDraft.nameQuestion");
      const leader = leaderOf(adjuster, adjusters);
      if (leader && parseMarks(leader.marks).length !== parseMarks(adjuster.marks).length)
        problems[`same ${adjuster.key}`] = say("machineDraft.sameProblem", { leader: leader.label });
    }
  return problems;
}

/** The one whose mark an adjuster takes; a leader that was taken out leaves it by itself. */
export const leaderOf = (adjuster: AdjusterDraft, adjusters: readonly AdjusterDraft[]) =>
  adjuster.sameAs === null ? undefined : adjusters.find(({ key }) => key === adjuster.sameAs);

/** Whose mark an adjuster may take: of one that takes no other's; none where another takes its own. */
export const leadersFor = (adjuster: AdjusterDraft, adjusters: readonly AdjusterDraft[]): AdjusterDraft[] =>
  adjusters.some(({ sameAs }) => sameAs === adjuster.key)
    ? []
    : adjusters.filter((one) => one.key !== adjuster.key && one.sameAs === null && one.label.trim() !== "");

const numberOf = (typed: string): number | null =>
  typed.trim() === "" ? null : Number(typed.trim().replace(",", ".").replace("−", "-"));

/** The body of a request. part: a station's exercises are sent with their own adjusters. */
export function bodyOf(draft: MachineDraft, family: Family) {
  const entered = (part: string) =>
    (draft.parts[part] ?? []).map((adjuster, _, all) => ({
      label: adjuster.label,
      kind: adjuster.kind,
      forwards: adjuster.forwards,
      marks: parseMarks(adjuster.marks),
      same_as: leaderOf(adjuster, all)?.label ?? null,
      walk_round: adjuster.walkRound,
    }));
  const station = family.exercises.length > 1;
  return {
    name: draft.name,
    code: draft.code,
    place: draft.place,
    state: draft.state,
    state_note: draft.stateNote,
    getting_in: draft.gettingIn,
    getting_out: draft.gettingOut,
    left_behind: draft.leftBehind,
    slack_from_deg: numberOf(draft.slackFrom),
    user_mass_limit_kg: numberOf(draft.massLimit),
    least_age_years: numberOf(draft.leastAge),
    cushions_allowed: draft.cushionsAllowed,
    belt: draft.belt,
    one_leg: draft.oneLeg,
    loading: loadingOf(draft.loading),
    moves: draft.moves,
    adjusters: entered(""),
    exercises: station
      ? Object.fromEntries(family.exercises.map(({ name }) => [name, { adjusters: entered(name) }]))
      : null,
  };
}
