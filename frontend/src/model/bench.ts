// The bench's own state: the sheet, the step at hand, what can be undone, and what the server has. A pure reducer.
import type { Adjuster, Aids, FittingState, Marks, Sheet } from "../api/types";
import { sameSheet, sheetOf } from "./sheet";

export type Saving =
  | { kind: "kept"; at: string | null }
  | { kind: "saving" }
  | { kind: "waiting" }
  | { kind: "conflict"; theirs: FittingState };

export type Bench = {
  sheet: Sheet;
  /** the step at hand, by id (an adjuster's label, or where the client lies); null when writing down */
  active: string | null;
  done: readonly string[];
  past: readonly Sheet[];
  version: number;
  saving: Saving;
};

export type BenchEvent =
  | { type: "step"; adjusters: readonly Adjuster[]; label: string; by: 1 | -1 }
  | { type: "set"; label: string; mark: string }
  | { type: "setAll"; marks: Marks; aids: Aids }
  | { type: "aid"; name: keyof Aids; mm: number }
  | { type: "write"; fields: Partial<Omit<Sheet, "marks" | "aids">> }
  | { type: "undo" }
  | { type: "choose"; id: string | null }
  | { type: "next"; order: readonly string[] }
  | { type: "previous"; order: readonly string[] }
  | { type: "saving" }
  | { type: "saved"; sheet: Sheet; version: number; at: string | null }
  | { type: "unsaved" }
  | { type: "conflict"; theirs: FittingState }
  | { type: "keepMine" }
  | { type: "takeTheirs" };

export const startBench = (fitting: FittingState, first: string | null): Bench => ({
  sheet: sheetOf(fitting),
  active: first,
  done: [],
  past: [],
  version: fitting.version,
  saving: { kind: "kept", at: fitting.updated_at },
});

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

/** A change that undo takes back. */
const moved = (bench: Bench, fields: Partial<Sheet>): Bench => ({
  ...bench,
  sheet: { ...bench.sheet, ...fields },
  past: [...bench.past, bench.sheet].slice(-50),
  saving: { kind: "saving" },
});

/** The step after (or before) the one at hand; past the last comes writing down (null). */
function stepped(order: readonly string[], active: string | null, by: 1 | -1): string | null {
  const at = active === null ? order.length : order.indexOf(active);
  const next = Math.min(Math.max(at + by, 0), order.length);
  return order[next] ?? null;
}

export function benchReducer(bench: Bench, event: BenchEvent): Bench {
  switch (event.type) {
    case "step": {
      const { marks } = bench.sheet;
      const mark = neighbour(event.adjusters, event.label, marks[event.label], event.by);
      if (mark === null) return bench;
      return moved({ ...bench, active: event.label }, { marks: { ...marks, [event.label]: mark } });
    }
    case "set":
      // While writing down one stays there: the sign that asked for the notch is looked at again.
      return moved(
        { ...bench, active: bench.active && event.label },
        { marks: { ...bench.sheet.marks, [event.label]: event.mark } },
      );
    case "setAll":
      return moved(bench, { marks: { ...bench.sheet.marks, ...event.marks }, aids: event.aids });
    case "aid":
      return moved(bench, { aids: { ...bench.sheet.aids, [event.name]: event.mm } });
    case "write":
      return { ...bench, sheet: { ...bench.sheet, ...event.fields }, saving: { kind: "saving" } };
    case "undo": {
      const last = bench.past.at(-1);
      return last
        ? {
            ...bench,
            sheet: { ...bench.sheet, marks: last.marks, aids: last.aids },
            past: bench.past.slice(0, -1),
            saving: { kind: "saving" },
          }
        : bench;
    }
    case "choose":
      return { ...bench, active: event.id };
    case "next":
      return {
        ...bench,
        active: stepped(event.order, bench.active, 1),
        done: bench.active && !bench.done.includes(bench.active) ? [...bench.done, bench.active] : bench.done,
      };
    case "previous":
      return { ...bench, active: stepped(event.order, bench.active, -1) };
    case "saving":
      return { ...bench, saving: { kind: "saving" } };
    case "saved":
      // A step taken while the request was under way is not kept yet.
      return {
        ...bench,
        version: event.version,
        saving: sameSheet(event.sheet, bench.sheet) ? { kind: "kept", at: event.at } : { kind: "saving" },
      };
    case "unsaved":
      return { ...bench, saving: { kind: "waiting" } };
    case "conflict":
      return { ...bench, saving: { kind: "conflict", theirs: event.theirs } };
    case "keepMine":
      return bench.saving.kind === "conflict"
        ? { ...bench, version: bench.saving.theirs.version, saving: { kind: "saving" } }
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
