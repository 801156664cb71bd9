// Locks a shared tablet: by hand, when it is handed to a client, or when nobody touched it for a while. The server holds the
// lock; the page below stays as it is, so that nothing typed is lost.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useEffect, useEffectEvent, useState } from "react";
import { postAuth, refusal } from "../../api/client";
import { meQuery } from "../../api/queries";
import { noteLocked, noteOpened, wasLocked } from "../shared/lockFlag";

const MINUTE_MS = 60_000;

export type Lock = { shown: ReactNode | null } | null;

/** idleMinutes: without a touch, until it locks itself */
export function useTabletLock(pin: boolean, idleMinutes: number) {
  const [lock, setLock] = useState<Lock>(() => (wasLocked() ? { shown: null } : null));
  const queryClient = useQueryClient();
  const locking = useMutation({
    mutationFn: () => postAuth("lock", {}),
    retry: (_, thrown) => refusal(thrown)?.code === "unreached",
    retryDelay: 2500,
  });
  const begin = (shown: ReactNode | null) => {
    noteLocked();
    setLock({ shown });
    locking.mutate();
  };
  const again = useEffectEvent(() => (wasLocked() ? locking.mutate() : undefined));
  useEffect(() => again(), []);
  useIdle(idleMinutes * MINUTE_MS, () => (pin && lock === null ? begin(null) : undefined));
  // A tab that did not know it: the server says that the tablet is locked.
  useEffect(
    () =>
      queryClient.getQueryCache().subscribe((event) => {
        if (event.type === "updated" && refusal(event.query.state.error)?.code === "tablet_locked")
          setLock((known) => known ?? { shown: null });
      }),
    [queryClient],
  );
  const opened = async () => {
    await queryClient.invalidateQueries({ queryKey: meQuery.queryKey });
    await queryClient.invalidateQueries();
    noteOpened();
    setLock(null);
  };
  return { lock, lockNow: () => begin(null), handOver: begin, opened };
}

const TOUCHES = ["pointerdown", "keydown", "wheel"] as const;

function useIdle(idleMs: number, act: () => void) {
  const idle = useEffectEvent(act);
  useEffect(() => {
    let timer = window.setTimeout(idle, idleMs);
    const touched = () => {
      window.clearTimeout(timer);
      timer = window.setTimeout(idle, idleMs);
    };
    for (const name of TOUCHES) window.addEventListener(name, touched, { passive: true });
    return () => {
      window.clearTimeout(timer);
      for (const name of TOUCHES) window.removeEventListener(name, touched);
    };
  }, [idleMs]);
}
