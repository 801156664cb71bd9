// Closing a fitting: accepted, or ended by a stop sign. One key a closed sheet, so that pressing twice, or a lost answer,
// records once.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useEffectEvent, useState } from "react";
import { useNavigate } from "react-router";
import { api, newKey, refusal, unwrap } from "../../../api/client";
import { fittingQuery } from "../../../api/queries";
import type { FittingPage, Sheet } from "../../../api/types";
import type { Bench } from "../../../model/bench";
import { type DraftKey, forgetUnsaved } from "./useDraft";

const keys = new Map<string, ReturnType<typeof newKey>>();
function keyOf(name: string) {
  const key = keys.get(name) ?? newKey();
  keys.set(name, key);
  return key;
}

/** Pressed while the last change is on its way, it waits for it; one that was refused is refused here too, in words. What was
 *  refused may be corrected and pressed again. */
export function useAccept(fitting: FittingPage, { sheet, version, saving }: Bench, draft: DraftKey) {
  const closed = useClosed(draft);
  const [pressed, setPressed] = useState(false);
  const accept = useMutation({
    mutationKey: ["accept", fitting.id],
    mutationFn: () =>
      unwrap(
        api.POST("/api/fittings/{id}/acceptance", {
          params: { path: { id: fitting.id }, header: keyOf(`${fitting.id} ${version} ${JSON.stringify(sheet)}`) },
          body: { ...sheet, version },
        }),
      ),
    retry: (count, thrown) => refusal(thrown)?.code === "unreached" && count < 5,
    retryDelay: 1500,
    onSuccess: ({ learned }) => closed(`/clients/${fitting.client.id}`, { learned }),
    onSettled: () => setPressed(false),
  });
  // Of another sheet than the one that was refused, or once more was shown, nothing is said yet.
  const shown = JSON.stringify(fitting.gates);
  const { reset } = accept;
  const refusedNoMore = useEffectEvent(() => accept.isError && reset());
  useEffect(() => {
    refusedNoMore();
  }, [sheet, shown]);
  // Somebody else changed the fitting meanwhile: whatever is chosen then has to be looked at and accepted anew.
  if (pressed && saving.kind === "conflict") setPressed(false);
  const ready = pressed && (saving.kind === "kept" || saving.kind === "refused");
  const send = useEffectEvent(() => accept.mutate());
  useEffect(() => {
    if (ready) send();
  }, [ready]);
  return { press: () => setPressed(true), busy: pressed, error: accept.error };
}

export function useStop(fitting: FittingPage, version: number, draft: DraftKey) {
  const closed = useClosed(draft);
  return useMutation({
    mutationFn: ({ sign, sheet }: { sign: string; sheet: Sheet }) =>
      unwrap(
        api.POST("/api/fittings/{id}/stop", {
          params: {
            path: { id: fitting.id },
            header: keyOf(`${fitting.id} ${version} ${sign} ${JSON.stringify(sheet)}`),
          },
          body: { stop_sign: sign, sheet: { ...sheet, version } },
        }),
      ),
    retry: (count, thrown) => refusal(thrown)?.code === "unreached" && count < 5,
    retryDelay: 1500,
    onSuccess: () => closed(`/fittings/${fitting.id}`),
  });
}

function useClosed(draft: DraftKey) {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  return async (to: string, state?: { learned: readonly string[] | undefined }) => {
    forgetUnsaved(draft);
    queryClient.removeQueries({ queryKey: fittingQuery(draft.fitting).queryKey });
    await queryClient.invalidateQueries();
    await navigate(to, state ? { state } : undefined);
  };
}
