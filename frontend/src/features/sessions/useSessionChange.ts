// A session changed, begun and ended.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import type { Session } from "../../api/types";
import { wish, type WishEvent, type Wishes } from "../../model/wishes";

/** Changes are made over the version that is seen; a stopped machine makes the rest anew by itself. */
export function useSessionChange(id: string) {
  const queryClient = useQueryClient();
  const key = keys.session(id);
  const shown = (session: Session) => queryClient.setQueryData(key, session);
  const seen = () => queryClient.getQueryData<Session>(key);
  const onError = () => queryClient.invalidateQueries({ queryKey: key });
  const change = useMutation({
    mutationFn: (event: WishEvent | null) => {
      const session = seen();
      if (!session) throw new Error("no session");
      const {
        programme_id: _programme,
        day: _day,
        ...wishes
      } = event ? wish(wishesOf(session), event) : wishesOf(session);
      return unwrap(
        api.PUT("/api/sessions/{id}", {
          params: { path: { id }, header: newKey() },
          body: { ...wishes, version: session.version },
        }),
      );
    },
    onSuccess: shown,
    onError,
  });
  const step = useMutation({
    mutationFn: (to: "beginning" | "ending") => {
      const params = { path: { id }, header: newKey() };
      const body = { version: seen()?.version ?? 1 };
      return to === "beginning"
        ? unwrap(api.POST("/api/sessions/{id}/beginning", { params, body }))
        : unwrap(api.POST("/api/sessions/{id}/ending", { params, body }));
    },
    onSuccess: async (session) => {
      shown(session);
      await queryClient.invalidateQueries({ queryKey: keys.sessions });
    },
    onError,
  });
  const outdated = seen()?.outdated ?? false;
  useEffect(() => {
    if (outdated) change.mutate(null);
    // oxlint-disable-next-line react/exhaustive-deps -- once for what was stopped
  }, [outdated]);
  return { change, step, problem: refusal(change.error ?? step.error)?.message };
}

const wishesOf = ({ minutes, aim, programme_id, day, wishes }: Session): Wishes => ({
  minutes,
  aim,
  programme_id,
  day,
  kept: wishes.kept ?? [],
  out: wishes.out ?? [],
  taken: wishes.taken ?? [],
  sequence: wishes.sequence ?? [],
  turns: wishes.turns ?? [],
});
