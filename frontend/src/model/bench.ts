// The bench's own state: marks, the step at hand, what can be undone, and what the server has. A pure reducer.
import type { FittingState, Machine, Marks } from "../api/types";
import { sameMarks } from "./marks";

export type Saving =
  | { kind: "kept"; at: string | null }
  | { kind: "saving" }
  | { kind: "waiting" }
  | { kind: "conflict"; theirs: FittingState };

export type Bench = {
  marks: Marks;
  /** the adjuster at hand, by label; null when writing down */
  active: string | null;
  done: readonly string[];
  past: readonly Marks[];
  version: number;
  saving: Saving;
};

export type BenchEvent =
  | { type: "step"; machine: Machine; label: string; by: 1 | -1 }
  | { type: "set"; label: string; mark: string }
  | { type: "setAll"; marks: Marks }
  | { type: "undo" }
  | { type: "choose"; label: string | null }
  | { type: "next"; order: readonly string[] }
  | { type: "previous"; order: readonly string[] }
  | { type: "saving" }
  | { type: "saved"; marks: Marks; version: number; at: string | null }
  | { type: "unsaved" }
  | { type: "conflict"; theirs: FittingState }
  | { type: "keepMine" }
  | { type: "takeTheirs" };

export const startBench = (fitting: FittingState, first: string | null): Bench => ({
  marks: fitting.marks,
  active: first,
  done: [],
  past: [],
  version: fitting.version,
  saving: { kind: "kept", at: fitting.updated_at },
});

/** The mark one step away as printed on the machine, or null at the end of the row. */
export function neighbour(machine: Machine, label: string, mark: string | undefined, by: 1 | -1): string | null {
  const marks = machine.adjusters.find((adjuster) => adjuster.label === label)?.marks ?? [];
  const index = marks.indexOf(mark ?? "");
  return index < 0 ? null : (marks[index + by] ?? null);
}

const moved = (bench: Bench, marks: Marks): Bench => ({
  ...bench,
  marks,
  past: [...bench.past, bench.marks].slice(-50),
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
      const mark = neighbour(event.machine, event.label, bench.marks[event.label], event.by);
      return mark === null ? bench : moved({ ...bench, active: event.label }, { ...bench.marks, [event.label]: mark });
    }
    case "set":
      return moved({ ...bench, active: event.label }, { ...bench.marks, [event.label]: event.mark });
    case "setAll":
      return moved(bench, event.marks);
    case "undo": {
      const last = bench.past.at(-1);
      return last ? { ...bench, marks: last, past: bench.past.slice(0, -1), saving: { kind: "saving" } } : bench;
    }
    case "choose":
      return { ...bench, active: event.label };
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
        saving: sameMarks(event.marks, bench.marks) ? { kind: "kept", at: event.at } : { kind: "saving" },
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
            ...moved(bench, bench.saving.theirs.marks),
            version: bench.saving.theirs.version,
            saving: { kind: "kept", at: bench.saving.theirs.updated_at },
          }
        : bench;
  }
}
