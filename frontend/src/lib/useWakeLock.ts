// The screen stays awake while something runs, where the browser can do that; asked for again when the page is seen again.
import { useEffect } from "react";

export function useWakeLock(on: boolean) {
  useEffect(() => {
    if (!on || !("wakeLock" in navigator)) return;
    let held: WakeLockSentinel | null = null;
    let over = false;
    const ask = () => {
      if (document.visibilityState !== "visible") return;
      navigator.wakeLock.request("screen").then(
        (sentinel) => {
          held = sentinel;
          if (over) void sentinel.release();
        },
        () => undefined,
      );
    };
    ask();
    document.addEventListener("visibilitychange", ask);
    return () => {
      over = true;
      document.removeEventListener("visibilitychange", ask);
      void held?.release();
    };
  }, [on]);
}
