import { say } from "../lib/say";
import { useEffect } from "react";

/** Focus the page's heading on a change of place, so that a screen reader starts there. */
export function useTitle(title: string) {
  useEffect(() => {
    document.title = say("useTitle.titleVerglas", { title });
  }, [title]);
}
