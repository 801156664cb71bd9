// Sets on their way: each is kept here until the server has it, the oldest first; without a network they wait.
import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";
import { api, Refused, unwrap } from "../../../api/client";
import { keys } from "../../../api/keys";
import { setUpQuery } from "../../../api/queries";
import type { SetUp } from "../../../api/types";
import { type Entry, readOutbox, writeOutbox } from "../../../lib/outbox";
import type { SetDraft } from "../../../model/setDraft";

/** number: which of today's it is here, so that one that another tablet wrote is not written twice. */
export type SetBody = SetDraft & { number: number; watched_by: number | null };

const AGAIN_MS = 4000;

export function useOutbox(staff: number) {
  const queryClient = useQueryClient();
  const [entries, setEntries] = useState<readonly Entry<SetBody>[]>(() => readOutbox(staff));
  const [problem, setProblem] = useState<string | null>(null);
  const keep = useCallback(
    (next: (before: readonly Entry<SetBody>[]) => readonly Entry<SetBody>[]) =>
      setEntries((before) => {
        const after = next(before);
        writeOutbox(staff, after);
        return after;
      }),
    [staff],
  );
  const oldest = entries[0];
  useEffect(() => {
    if (!oldest) return;
    let over = false;
    let timer = 0;
    const gone = () => keep((before) => before.filter(({ key }) => key !== oldest.key));
    const send = async () => {
      try {
        const visit = await unwrap(
          api.POST("/api/fittings/{id}/sets", {
            params: { path: { id: oldest.of }, header: { "Idempotency-Key": oldest.key } },
            body: oldest.body,
          }),
        );
        if (over) return;
        queryClient.setQueryData<SetUp>(setUpQuery(oldest.of).queryKey, (setUp) => setUp && { ...setUp, visit });
        gone();
        await Promise.all([
          queryClient.invalidateQueries({ queryKey: keys.queues }),
          queryClient.invalidateQueries({ queryKey: keys.progresses }),
        ]);
      } catch (thrown) {
        if (over) return;
        // Only what the server itself refused is let go; whoever has to sign in again finds it here then.
        if (thrown instanceof Refused && thrown.status >= 400 && thrown.status < 500 && thrown.status !== 401) {
          setProblem(thrown.message);
          gone();
          await queryClient.invalidateQueries({ queryKey: setUpQuery(oldest.of).queryKey });
        } else timer = window.setTimeout(() => void send(), AGAIN_MS);
      }
    };
    void send();
    return () => {
      over = true;
      window.clearTimeout(timer);
    };
  }, [oldest, keep, queryClient]);
  const put = (of: string, body: SetBody) => {
    setProblem(null);
    keep((before) => [...before, { key: crypto.randomUUID(), of, body }]);
  };
  return { entries, put, problem };
}
