// What is written down at a machine: each write answers the visit as it stands then, which is what the page shows.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRef } from "react";
import { keys } from "../../../api/keys";
import { api, newKey, unwrap } from "../../../api/client";
import { setUpQuery } from "../../../api/queries";
import type { SetUp, Visit } from "../../../api/types";
import { loadOf, type SetDraft } from "../../../model/setDraft";

export function useVisit(id: string) {
  const queryClient = useQueryClient();
  const onSuccess = async (visit: Visit) => {
    queryClient.setQueryData<SetUp>(setUpQuery(id).queryKey, (setUp) => setUp && { ...setUp, visit });
    await queryClient.invalidateQueries({ queryKey: keys.queues });
    await queryClient.invalidateQueries({ queryKey: keys.progresses });
  };
  // A set whose answer was lost may have arrived: pressed again as it was, it is the same one.
  const unanswered = useRef<{ text: string; header: ReturnType<typeof newKey> } | null>(null);
  const headerOf = (body: object) => {
    const text = JSON.stringify(body);
    if (unanswered.current?.text !== text) unanswered.current = { text, header: newKey() };
    return unanswered.current.header;
  };
  /** The machine stands so: what is told for today is lifted there. */
  const stands = useMutation({
    mutationFn: () =>
      unwrap(api.POST("/api/fittings/{id}/set-up", { params: { path: { id }, header: newKey() }, body: {} })),
    onSuccess,
  });
  const done = useMutation({
    mutationFn: ({ visit, draft, watched }: { visit: Visit; draft: SetDraft; watched: number | null }) => {
      const number = (visit.going_on?.sets.length ?? 0) + 1;
      const body = { ...draft, number, load_kg: loadOf(visit, draft), watched_by: watched };
      return unwrap(api.POST("/api/fittings/{id}/sets", { params: { path: { id }, header: headerOf(body) }, body }));
    },
    onSuccess: async (visit) => {
      unanswered.current = null;
      await onSuccess(visit);
    },
  });
  const takeBack = useMutation({
    mutationFn: (set: string) =>
      unwrap(api.POST("/api/sets/{id}/taking-back", { params: { path: { id: set }, header: newKey() }, body: {} })),
    onSuccess,
  });
  return { stands, done, takeBack };
}
