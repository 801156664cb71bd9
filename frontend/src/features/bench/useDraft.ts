// Keeps the draft: every change goes to the server shortly after it was made, one request at a time. What has not reached
// it yet lies in this browser under the fitting's random id (marks only), so a reload or a lost network loses nothing.
import { useEffect, useEffectEvent, useRef, type Dispatch } from "react";
import { api, newKey, Refused, unwrap } from "../../api/client";
import type { FittingState, Marks } from "../../api/types";
import type { Bench, BenchEvent } from "../../model/bench";
import { sameMarks } from "../../model/marks";

const PAUSE_MS = 250;
const RETRY_MS = 2500;
const store = (id: string) => `verglas.unsaved.${id}`;

/** Marks which an earlier visit could not hand over, if they still build on what the server has. */
export function unsavedMarks(fitting: FittingState): Marks | null {
  const kept = localStorage.getItem(store(fitting.id));
  if (!kept) return null;
  const { marks, version } = JSON.parse(kept) as { marks: Marks; version: number };
  return version === fitting.version && fitting.state === "draft" ? marks : null;
}

export const forgetUnsaved = (id: string) => localStorage.removeItem(store(id));

export function useDraft(id: string, bench: Bench, first: FittingState, dispatch: Dispatch<BenchEvent>) {
  const saved = useRef<Marks>(first.marks);
  const savedAt = useRef(first.updated_at);
  const busy = useRef(false);
  const timer = useRef<number>(undefined);

  const save = useEffectEvent(async () => {
    if (busy.current || bench.saving.kind === "conflict" || sameMarks(saved.current, bench.marks)) return;
    busy.current = true;
    const marks = bench.marks;
    dispatch({ type: "saving" });
    try {
      const state = await unwrap(
        api.PATCH("/api/fittings/{id}", {
          params: { path: { id }, header: newKey() },
          body: { marks, version: bench.version },
        }),
      );
      saved.current = marks;
      savedAt.current = state.updated_at;
      forgetUnsaved(id);
      dispatch({ type: "saved", marks, version: state.version, at: state.updated_at });
    } catch (thrown) {
      const current = thrown instanceof Refused && thrown.status === 409 ? thrown.error.current : undefined;
      if (current && sameMarks(current.marks, marks) && current.state === "draft") {
        saved.current = marks;
        dispatch({ type: "saved", marks, version: current.version, at: current.updated_at });
      } else if (current) dispatch({ type: "conflict", theirs: current });
      else dispatch({ type: "unsaved" });
    } finally {
      busy.current = false;
    }
  });

  const { marks, version, saving } = bench;
  useEffect(() => {
    if (sameMarks(saved.current, marks)) {
      // Undone before it was handed over: there is nothing to keep.
      if (saving.kind === "saving" && !busy.current) {
        forgetUnsaved(id);
        dispatch({ type: "saved", marks, version, at: savedAt.current });
      }
      return;
    }
    localStorage.setItem(store(id), JSON.stringify({ marks, version }));
    window.clearTimeout(timer.current);
    timer.current = window.setTimeout(() => void save(), saving.kind === "waiting" ? RETRY_MS : PAUSE_MS);
    return () => window.clearTimeout(timer.current);
  }, [id, marks, version, saving, dispatch]);
}
