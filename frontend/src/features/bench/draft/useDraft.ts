// Keeps the draft: every change goes to the server shortly after it was made, one request at a time. What has not reached
// it yet lies in this browser, so a reload or a lost network loses nothing; what may speak of somebody's health (SECRET), only
// in this tab.
import { useEffect, useEffectEvent, useMemo, useRef, type Dispatch } from "react";
import { api, newKey, Refused, standing, unwrap } from "../../../api/client";
import type { FittingPage, FittingState, Sheet } from "../../../api/types";
import type { Bench, BenchEvent } from "../../../model/bench";
import { partOf, type SECRET, sameSheet, sheetOf } from "../../../model/sheet";
import { unsavedName } from "../../../lib/unsaved";

const PAUSE_MS = 250;
const RETRY_MS = 2500;
/** The same again would be refused again: only another change can help. */
const NEVER_KEPT = [400, 404, 413, 422];

/** Where it lies: under the fitting's and the member of staff's ids, so that nobody else's tablet turn can pick it up. */
export type DraftKey = { fitting: string; staff: number };
const store = ({ fitting, staff }: DraftKey) => unsavedName(staff, fitting);
const secretStore = ({ fitting, staff }: DraftKey) => `verglas.kept.secret.${staff}.${fitting}`;

type Secrets = Pick<Sheet, (typeof SECRET)[number]>;

/** The sheet which an earlier visit could not hand over, if it still builds on what the server has: with the server's mark where
 *  the machine has been described anew and the one that was set is no more. */
export function unsavedSheet(fitting: FittingPage, staff: number): Sheet | null {
  const key = { fitting: fitting.id, staff };
  const kept = localStorage.getItem(store(key));
  if (!kept) return null;
  const { sheet, version } = JSON.parse(kept) as { sheet: Omit<Sheet, keyof Secrets>; version: number };
  if (version !== fitting.version || fitting.state !== "draft") return null;
  const secrets = sessionStorage.getItem(secretStore(key));
  const marks = Object.fromEntries(
    fitting.machine.adjusters.map(({ label, marks: printed }) => {
      const mark = sheet.marks[label];
      return [label, mark !== undefined && printed.includes(mark) ? mark : (fitting.marks[label] ?? "")];
    }),
  );
  return { ...sheetOf(fitting), ...sheet, marks, ...(secrets ? (JSON.parse(secrets) as Secrets) : {}) };
}

function keepUnsaved(key: DraftKey, sheet: Sheet, version: number) {
  localStorage.setItem(store(key), JSON.stringify({ sheet: partOf(sheet, false), version }));
  sessionStorage.setItem(secretStore(key), JSON.stringify(partOf(sheet, true)));
}

export function forgetUnsaved(key: DraftKey) {
  localStorage.removeItem(store(key));
  sessionStorage.removeItem(secretStore(key));
}

export function useDraft(
  { fitting, staff }: DraftKey,
  bench: Bench,
  first: FittingState,
  dispatch: Dispatch<BenchEvent>,
) {
  const key = useMemo(() => ({ fitting, staff }), [fitting, staff]);
  const saved = useRef<Sheet>(sheetOf(first));
  const savedAt = useRef(first.updated_at);
  const busy = useRef(false);
  const timer = useRef<number>(undefined);

  const save = useEffectEvent(async () => {
    if (busy.current || bench.saving.kind === "conflict" || sameSheet(saved.current, bench.sheet)) return;
    busy.current = true;
    const sheet = bench.sheet;
    dispatch({ type: "saving" });
    try {
      const state = await unwrap(
        api.PATCH("/api/fittings/{id}", {
          params: { path: { id: key.fitting }, header: newKey() },
          body: { ...sheet, version: bench.version },
        }),
      );
      saved.current = sheet;
      savedAt.current = state.updated_at;
      forgetUnsaved(key);
      dispatch({ type: "saved", sheet, version: state.version, at: state.updated_at });
    } catch (thrown) {
      const current = standing<FittingState>(thrown);
      if (current && current.state === "draft" && sameSheet(sheetOf(current), sheet)) {
        saved.current = sheet;
        dispatch({ type: "saved", sheet, version: current.version, at: current.updated_at });
      } else if (current) dispatch({ type: "conflict", theirs: current });
      else if (thrown instanceof Refused && NEVER_KEPT.includes(thrown.status))
        dispatch({ type: "refused", message: thrown.error.message });
      else dispatch({ type: "unsaved" });
    } finally {
      busy.current = false;
    }
  });

  const { sheet, version, saving } = bench;
  useEffect(() => {
    if (sameSheet(saved.current, sheet)) {
      // Undone before it was handed over: there is nothing to keep.
      if (saving.kind === "saving" && !busy.current) {
        forgetUnsaved(key);
        dispatch({ type: "saved", sheet, version, at: savedAt.current });
      }
      return;
    }
    keepUnsaved(key, sheet, version);
    window.clearTimeout(timer.current);
    if (saving.kind === "refused") return;
    timer.current = window.setTimeout(() => void save(), saving.kind === "waiting" ? RETRY_MS : PAUSE_MS);
    return () => window.clearTimeout(timer.current);
  }, [key, sheet, version, saving, dispatch]);
}
