// A reading on this phone: samples go out twice a second, what did not arrive goes again, and the answer tells what is
// counted.
import { useCallback, useEffect, useRef, useState } from "react";
import { api, Refused, refusal, unwrap } from "../../api/client";
import type { LiveReading } from "../../api/types";
import { Outgoing, type Sample } from "../../model/phoneSamples";

const EVERY_MS = 500;

export type Reading = {
  live: LiveReading | null;
  /** the network is away: what is read waits here */
  away: boolean;
  /** why it cannot go on */
  problem: string | null;
  over: boolean;
};

const NONE: Reading = { live: null, away: false, problem: null, over: false };

export function useReading(secret: string, running: boolean) {
  const outgoing = useRef(new Outgoing());
  const ending = useRef(false);
  const busy = useRef(false);
  const [reading, setReading] = useState(NONE);

  const send = useCallback(async () => {
    const batch = outgoing.current.next();
    if (busy.current || (!batch && !ending.current)) return;
    busy.current = true;
    try {
      const live = batch
        ? await unwrap(api.POST("/auth/phone/samples", { body: { secret, ...batch } }))
        : await unwrap(api.POST("/auth/phone/ending", { body: { secret } }));
      if (batch) outgoing.current.arrived();
      setReading((now) => ({ ...now, live, away: false, problem: null, over: now.over || !batch }));
    } catch (thrown) {
      const away = thrown instanceof Refused && thrown.status === 0;
      // What was refused is not sent again.
      if (!away) outgoing.current.arrived();
      setReading((now) => ({ ...now, away, problem: away ? null : (refusal(thrown)?.message ?? null) }));
    } finally {
      busy.current = false;
    }
  }, [secret]);

  useEffect(() => {
    if (!running || reading.over) return;
    const timer = setInterval(() => void send(), EVERY_MS);
    return () => clearInterval(timer);
  }, [running, reading.over, send]);

  return {
    reading,
    /** Until the set is over. */
    add: useCallback((sample: Sample) => {
      if (!ending.current) outgoing.current.add(sample);
    }, []),
    /** Nothing that came before counts. */
    anew: useCallback(() => {
      outgoing.current = new Outgoing();
      setReading(NONE);
    }, []),
    /** Once everything has arrived. */
    end: useCallback(() => {
      ending.current = true;
      void send();
    }, [send]),
  };
}
