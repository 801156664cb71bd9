// The bench's own state: the sheet, what can be undone, and what the server has. A pure reducer. The step at hand and what was
// seen at each step are part of the sheet, so that a fitting is resumed where it was left, on any tablet.
import type { Adjuster, Aids, FittingState, Marks, Sheet } from "../api/types";
import { sameSheet, seenAt, sheetOf, WRITE } from "./sheet";

export type Saving =
  | { kind: "kept"; at: string | null }
  | { kind: "saving" }
  | { kind: "waiting" }
  | { kind: "refused"; message: string }
  | { kind: "conflict"; theirs: FittingState };

export type Bench = {
  sheet: Sheet;
  past: readonly Sheet[];
  version: number;
  saving: Saving;
};

export type BenchEvent =
  | { type: "step"; adjusters: readonly Adjuster[]; order: readonly string[]; label: string; by: 1 | -1 }
  | { type: "set"; order: readonly string[]; label: string; mark: string }
  | { type: "setAll"; marks: Marks; aids: Aids }
  | { type: "try"; sign: string; adjuster: string; to: string }
  | { type: "tried"; index: number; outcome: "better" | "same" | "worse" }
  | { type: "aid"; name: string; mm: number }
  | { type: "write"; fields: Partial<Omit<Sheet, "marks" | "aids">> }
  | { type: "undo" }
  | { type: "choose"; id: string }
  | { type: "next"; order: readonly string[] }
  | { type: "skip"; order: readonly string[]; reason: string }
  | { type: "previous"; order: readonly string[] }
  | { type: "saving" }
  | { type: "saved"; sheet: Sheet; version: number; at: string | null }
  | { type: "unsaved" }
  | { type: "refused"; message: string }
  | { type: "conflict"; theirs: FittingState }
  | { type: "keepMine"; version: number }
  | { type: "takeTheirs" };

/** Begins at the step where the fitting was left, or at the first. */
export const startBench = (fitting: FittingState, sheet: Sheet = sheetOf(fitting)): Bench => ({
  sheet,
  past: [],
  version: fitting.version,
  saving: { kind: "kept", at: fitting.updated_at },
});

/** The step at hand; the first where none was taken yet or it is no more. */
export const activeStep = ({ sheet }: Bench, order: readonly string[]): string =>
  sheet.flow.at !== null && [...order, WRITE].includes(sheet.flow.at) ? sheet.flow.at : (order[0] ?? WRITE);

/** The mark one step away as printed on the machine, or null at the end of the row. */
export function neighbour(
  adjusters: readonly Adjuster[],
  label: string,
  mark: string | undefined,
  by: 1 | -1,
): string | null {
  const marks = adjusters.find((adjuster) => adjuster.label === label)?.marks ?? [];
  const index = marks.indexOf(mark ?? "");
  return index < 0 ? null : (marks[index + by] ?? null);
}

/** On its way to the server; but while a colleague's change waits for a choice, nothing is. */
const pending = ({ saving }: Bench): Saving => (saving.kind === "conflict" ? saving : { kind: "saving" });

/** A change that undo takes back. */
const moved = (bench: Bench, fields: Partial<Sheet>): Bench => ({
  ...bench,
  sheet: { ...bench.sheet, ...fields },
  past: [...bench.past, bench.sheet].slice(-50),
  saving: pending(bench),
});

const written = (bench: Bench, fields: Partial<Sheet>): Bench => ({
  ...bench,
  sheet: { ...bench.sheet, ...fields },
  saving: pending(bench),
});

const at = (bench: Bench, id: string): Bench => written(bench, { flow: { ...bench.sheet.flow, at: id } });

const without = <T>(record: Record<string, T>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(record).filter(([name]) => name !== key));

/** The step after (or before) the one at hand; past the last comes writing down. */
function stepped(order: readonly string[], active: string, by: 1 | -1): string {
  const all = [...order, WRITE];
  return all[Math.min(Math.max(all.indexOf(active) + by, 0), order.length)] ?? WRITE;
}

/** A mark is set: its step is the one at hand then, unless one is past setting marks (checking again, watching, writing). */
function setMark(bench: Bench, order: readonly string[], label: string, mark: string): Bench {
  const { marks, flow } = bench.sheet;
  const stays = activeStep(bench, order).startsWith("@") && activeStep(bench, order) !== order[0];
  return moved(bench, {
    marks: { ...marks, [label]: mark },
    flow: stays || !order.includes(label) ? flow : { ...flow, at: label },
  });
}

export function benchReducer(bench: Bench, event: BenchEvent): Bench {
  const { sheet } = bench;
  switch (event.type) {
    case "step": {
      const mark = neighbour(event.adjusters, event.label, sheet.marks[event.label], event.by);
      return mark === null ? bench : setMark(bench, event.order, event.label, mark);
    }
    case "set":
      return setMark(bench, event.order, event.label, event.mark);
    case "setAll":
      return moved(bench, { marks: { ...sheet.marks, ...event.marks }, aids: event.aids });
    case "try":
      return moved(bench, {
        marks: { ...sheet.marks, [event.adjuster]: event.to },
        trail: [
          ...sheet.trail,
          {
            sign: event.sign,
            adjuster: event.adjuster,
            from: sheet.marks[event.adjuster] ?? "",
            to: event.to,
            outcome: null,
          },
        ],
      });
    case "tried":
      return written(bench, {
        trail: sheet.trail.map((entry, index) =>
          index === event.index ? { ...entry, outcome: event.outcome } : entry,
        ),
      });
    case "aid":
      return moved(bench, { aids: { ...sheet.aids, [event.name]: event.mm } });
    case "write":
      return written(bench, event.fields);
    case "undo": {
      const last = bench.past.at(-1);
      return last
        ? {
            ...written(bench, { marks: last.marks, aids: last.aids, trail: last.trail }),
            past: bench.past.slice(0, -1),
          }
        : bench;
    }
    case "choose":
      return at(bench, event.id);
    case "next": {
      const active = activeStep(bench, event.order);
      const skipped = without(sheet.flow.skipped, active);
      const done = active === WRITE ? sheet.flow.done : { ...sheet.flow.done, [active]: seenAt(sheet) };
      return written(bench, { flow: { at: stepped(event.order, active, 1), done, skipped } });
    }
    case "skip": {
      const active = activeStep(bench, event.order);
      const done = without(sheet.flow.done, active);
      const skipped = { ...sheet.flow.skipped, [active]: event.reason };
      return written(bench, { flow: { at: stepped(event.order, active, 1), done, skipped } });
    }
    case "previous":
      return at(bench, stepped(event.order, activeStep(bench, event.order), -1));
    case "saving":
      return { ...bench, saving: { kind: "saving" } };
    case "saved":
      // A step taken while the request was under way is not kept yet.
      return {
        ...bench,
        version: event.version,
        saving: sameSheet(event.sheet, sheet) ? { kind: "kept", at: event.at } : { kind: "saving" },
      };
    case "unsaved":
      return { ...bench, saving: { kind: "waiting" } };
    case "refused":
      return { ...bench, saving: { kind: "refused", message: event.message } };
    case "conflict":
      return { ...bench, saving: { kind: "conflict", theirs: event.theirs } };
    case "keepMine":
      return bench.saving.kind === "conflict"
        ? { ...bench, version: event.version, saving: { kind: "saving" } }
        : bench;
    case "takeTheirs":
      return bench.saving.kind === "conflict"
        ? {
            ...moved(bench, sheetOf(bench.saving.theirs)),
            version: bench.saving.theirs.version,
            saving: { kind: "kept", at: bench.saving.theirs.updated_at },
          }
        : bench;
  }
}
