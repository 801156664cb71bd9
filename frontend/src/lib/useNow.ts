import { useEffect, useState } from "react";

/** This device's clock, looked at every so many milliseconds. */
export function useNow(every_ms: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), every_ms);
    return () => window.clearInterval(timer);
  }, [every_ms]);
  return now;
}
