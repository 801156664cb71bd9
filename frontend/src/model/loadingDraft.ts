// How a machine is loaded, as it is being typed: in the unit printed on it.
import { say } from "../lib/say";
import type { Loading } from "../api/types";
import { parseNumber } from "../lib/lengths";

export type LoadingDraft = {
  kind: "" | Loading["kind"];
  unit: Loading["unit"];
  masses: string;
  addons: string;
  ratio: string;
  bare: string;
  horns: "1" | "2";
  incline: string;
  /** whether the pin is reached from the seat */
  reach: "" | "yes" | "no";
};

export const noLoading: LoadingDraft = {
  kind: "",
  unit: "kg",
  masses: "",
  addons: "",
  ratio: "",
  bare: "",
  horns: "2",
  incline: "",
  reach: "",
};

const text = (number: number | null | undefined): string => (number == null ? "" : String(number));

export const loadingDraftOf = (loading: Loading | null): LoadingDraft =>
  loading === null
    ? noLoading
    : {
        kind: loading.kind,
        unit: loading.unit,
        masses: (loading.masses ?? []).join(", "),
        addons: (loading.addons ?? []).join(", "),
        ratio: text(loading.ratio),
        bare: text(loading.bare),
        horns: loading.horns === 1 ? "1" : "2",
        incline: text(loading.incline_deg),
        reach: loading.reach == null ? "" : loading.reach ? "yes" : "no",
      };

/** Marks that a stack may have. */
const MOST = 60;

/** "5-50 by 5, 60, 70" and "2.5, 5"; null where something is no mass. */
export function parseMasses(typed: string): number[] | null {
  const masses: number[] = [];
  for (const part of typed.split(/[;,\n]+/).map((one) => one.trim())) {
    if (part === "") continue;
    const run = /^([\d.]+)\s*[-–]\s*([\d.]+)\s+by\s+([\d.]+)$/.exec(part);
    const [from, to, by] = (run ?? []).slice(1).map(Number);
    if (from !== undefined && to !== undefined && by !== undefined && by > 0) {
      for (let mass = from; mass <= to + 1e-6 && masses.length <= MOST; mass += by)
        masses.push(Math.round(mass * 1000) / 1000);
      continue;
    }
    const mass = parseNumber(part);
    if (mass === null || mass <= 0) return null;
    masses.push(mass);
  }
  return new Set(masses).size === masses.length && masses.length <= MOST ? masses : null;
}

/** What is wrong, by field. */
export function loadingProblems(draft: LoadingDraft): Record<string, string> {
  const problems: Record<string, string> = {};
  const number = (typed: string) => typed.trim() === "" || parseNumber(typed) !== null;
  if (draft.kind === "stack" && !(parseMasses(draft.masses) ?? []).length)
    problems["masses"] = say("loadingDraft.marksProblem");
  if (draft.kind === "stack" && parseMasses(draft.addons) === null)
    problems["addons"] = say("loadingDraft.plateProblem");
  if (draft.kind === "sled" && parseNumber(draft.incline) === null)
    problems["incline"] = say("loadingDraft.angleProblem");
  for (const field of ["ratio", "bare", "incline"] as const)
    if (!number(draft[field])) problems[field] ??= say("loadingDraft.numberProblem");
  return problems;
}

/** As it is sent; null where it was not described. */
export function loadingOf(draft: LoadingDraft): Loading | null {
  const { kind, unit } = draft;
  if (kind === "") return null;
  if (kind === "stack")
    return {
      kind,
      unit,
      masses: parseMasses(draft.masses) ?? [],
      addons: parseMasses(draft.addons) ?? [],
      ratio: parseNumber(draft.ratio),
      ...(draft.reach === "" ? {} : { reach: draft.reach === "yes" }),
    };
  const bare = parseNumber(draft.bare) ?? 0;
  const plates = { unit, bare, horns: Number(draft.horns) };
  return kind === "plates" ? { kind, ...plates } : { kind, ...plates, incline_deg: parseNumber(draft.incline) };
}
