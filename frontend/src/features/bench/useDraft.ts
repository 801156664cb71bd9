// Keeps the draft: every change goes to the server shortly after it was made, one request at a time. What has not reached
// it yet lies in this browser under the fitting's random id, so a reload or a lost network loses nothing; a note, which may
// speak of somebody's health, only in this tab.
import { useEffect, useEffectEvent, useRef, type Dispatch } from "react";
import { api, newKey, Refused, unwrap } from "../../api/client";
import type { FittingState, Sheet } from "../../api/types";
import type { Bench, BenchEvent } from "../../model/bench";
import { sameSheet, sheetOf } from "../../model/sheet";

const PAUSE_MS = 250;
const RETRY_MS = 2500;
const store = (id: string) => `verglas.unsaved.${id}`;
const noteStore = (id: string) => `verglas.kept.note.${id}`;

/** The sheet which an earlier visit could not hand over, if it still builds on what the server has. */
export function unsavedSheet(fitting: FittingState): Sheet | null {
  const kept = localStorage.getItem(store(fitting.id));
  if (!kept) return null;
  const { sheet, version } = JSON.parse(kept) as { sheet: Omit<Sheet, "note">; version: number };
  if (version !== fitting.version || fitting.state !== "draft") return null;
  return { ...sheet, note: sessionStorage.getItem(noteStore(fitting.id)) ?? fitting.note };
}

function keepUnsaved(id: string, { note, ...sheet }: Sheet, version: number) {
  localStorage.setItem(store(id), JSON.stringify({ sheet, version }));
  sessionStorage.setItem(noteStore(id), note);
}

export function forgetUnsaved(id: string) {
  localStorage.removeItem(store(id));
  sessionStorage.removeItem(noteStore(id));
}

export function useDraft(id: string, bench: Bench, first: FittingState, dispatch: Dispatch<BenchEvent>) {
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
          params: { path: { id }, header: newKey() },
          body: { ...sheet, version: bench.version },
        }),
      );
      saved.current = sheet;
      savedAt.current = state.updated_at;
      forgetUnsaved(id);
      dispatch({ type: "saved", sheet, version: state.version, at: state.updated_at });
    } catch (thrown) {
      const current = thrown instanceof Refused && thrown.status === 409 ? thrown.error.current : undefined;
      if (current && current.state === "draft" && sameSheet(sheetOf(current), sheet)) {
        saved.current = sheet;
        dispatch({ type: "saved", sheet, version: current.version, at: current.updated_at });
      } else if (current) dispatch({ type: "conflict", theirs: current });
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
        forgetUnsaved(id);
        dispatch({ type: "saved", sheet, version, at: savedAt.current });
      }
      return;
    }
    keepUnsaved(id, sheet, version);
    window.clearTimeout(timer.current);
    timer.current = window.setTimeout(() => void save(), saving.kind === "waiting" ? RETRY_MS : PAUSE_MS);
    return () => window.clearTimeout(timer.current);
  }, [id, sheet, version, saving, dispatch]);
}
