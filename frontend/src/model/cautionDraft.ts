// A caution as it is typed, and as it is kept. Pure: no part of a page.
import type { Caution, Cautions } from "../api/types";
import { parseNumber } from "../lib/lengths";

type Kind = Cautions["kinds"][number];
export type Side = "" | "left" | "right" | "both";
export type Joint = "" | "knee" | "hip" | "ankle" | "back";

/** As typed: an end that is blank is not spoken of. */
export type Span = { motion: string; from: string; to: string };
export type Degrees = Record<string, { from: number | null; to: number | null }>;

export type CautionDraft = {
  name: string;
  side: Side;
  joint: Joint;
  named: readonly string[];
  since: string | null;
  clearedBy: string;
  clearedOn: string | null;
  spans: readonly Span[];
  load: string;
  note: string;
};

export type CautionFields = {
  side: Side;
  since: string | null;
  cleared_by: string;
  cleared_on: string | null;
  joint: Joint;
  degrees: Degrees;
  named: string[];
  load_to_kg: number | null;
  note: string;
};

/** One that is corrected, or a new one of the first kind. */
export const draftOf = (caution: Caution | null, kinds: readonly Kind[]): CautionDraft => ({
  name: caution?.name ?? kinds[0]?.name ?? "",
  side: (caution?.side as Side | undefined) ?? "",
  joint: (caution?.joint as Joint | undefined) ?? "",
  named: (caution?.named ?? []).map(({ family }) => family),
  since: caution?.since ?? null,
  clearedBy: caution?.cleared_by ?? "",
  clearedOn: caution?.cleared_on ?? null,
  spans: (caution?.degrees ?? []).map(({ motion, from, to }) => ({
    motion,
    from: from?.toString() ?? "",
    to: to?.toString() ?? "",
  })),
  load: caution?.load_to_kg?.toString() ?? "",
  note: caution?.note ?? "",
});

/** What stands to be typed in: where no degrees are, a blank span of the motion that is asked for first. */
export const spansShown = (draft: CautionDraft, kind: Kind | undefined, first: string): readonly Span[] =>
  draft.spans.length > 0 ? draft.spans : [{ motion: kind?.motion ?? first, from: "", to: "" }];

const blank = (text: string) => text.trim() === "";
const number = (text: string): number | null => (blank(text) ? null : parseNumber(text));
const wrong = (text: string) => !blank(text) && parseNumber(text) === null;

/** null where something typed is no number. */
export function degreesOf(spans: readonly Span[]): Degrees | null {
  if (spans.some(({ from, to }) => wrong(from) || wrong(to))) return null;
  return Object.fromEntries(
    spans
      .map(({ motion, from, to }) => [motion, { from: number(from), to: number(to) }] as const)
      .filter(([, { from, to }]) => from !== null || to !== null),
  );
}

/** As it is kept: only what its kind asks for; null where something typed is no number. */
export function fieldsOf(draft: CautionDraft, kind: Kind | undefined): CautionFields | null {
  const degrees = degreesOf(draft.spans);
  if (degrees === null || wrong(draft.load)) return null;
  return {
    side: kind?.sided ? draft.side : "",
    since: draft.since,
    cleared_by: draft.clearedBy,
    cleared_on: draft.clearedOn,
    joint: kind?.joints.length ? draft.joint : "",
    degrees,
    named: draft.named.filter((family) => kind?.named.some((one) => one.family === family)),
    load_to_kg: number(draft.load),
    note: draft.note,
  };
}
