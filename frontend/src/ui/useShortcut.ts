import { useEffect, useEffectEvent } from "react";

const isTyping = (element: EventTarget | null): boolean =>
  element instanceof HTMLElement && (element.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(element.tagName));

/** A single key anywhere on the page, except while somebody types or a dialogue is open. */
export function useShortcut(key: string, act: () => void) {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if (event.key !== key || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    // Behind a lock nothing listens, whatever page lies below.
    if (document.querySelector("[role=dialog], [data-locked]")) return;
    event.preventDefault();
    act();
  });
  useEffect(() => {
    const listener = (event: KeyboardEvent) => onKey(event);
    window.addEventListener("keydown", listener);
    return () => window.removeEventListener("keydown", listener);
  }, []);
}
