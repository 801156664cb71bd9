// The kinds of tables, and what each holds, in words.
import type { ImportKind } from "../../api/types";
import { say } from "../../lib/say";

type TableKind = Exclude<ImportKind, "gym">;

export const TABLES: readonly { kind: TableKind; name: string; holds: string }[] = [
  { kind: "clients", name: say("exchange.clients"), holds: say("exchange.clientsHold") },
  { kind: "readings", name: say("exchange.readings"), holds: say("exchange.readingsHold") },
  { kind: "machines", name: say("exchange.machines"), holds: say("exchange.machinesHold") },
  { kind: "marks", name: say("exchange.marks"), holds: say("exchange.marksHold") },
  { kind: "fittings", name: say("exchange.fittings"), holds: say("exchange.fittingsHold") },
  { kind: "visits", name: say("exchange.visits"), holds: say("exchange.visitsHold") },
];

/** What only goes out. */
export const OUT = [
  ...TABLES,
  { kind: "movements", name: say("exchange.movements"), holds: say("exchange.movementsHold") },
] as const;

export const KINDS: readonly (readonly [ImportKind, string])[] = [
  ...TABLES.map(({ kind, name }) => [kind, name] as const),
  ["gym", say("exchange.archive")],
];

/** Whether numbers of this kind are written in somebody's own units. */
export const measured = (kind: ImportKind): boolean => kind !== "gym" && kind !== "marks";
