const KEPT = "own-card";
const PAGE = "/mine";

/** So that the page opens without a network from now on; where the browser cannot (no TLS), it opens with one. */
export async function keepOffline(): Promise<void> {
  if (!("serviceWorker" in navigator) || !("caches" in window)) return;
  await navigator.serviceWorker.register("/own-card.js", { scope: PAGE });
  const files = performance
    .getEntriesByType("resource")
    .map(({ name }) => name)
    .filter((name) => name.startsWith(`${window.location.origin}/assets/`));
  const cache = await caches.open(KEPT);
  await cache.addAll([PAGE, ...new Set(files)]);
}

/** What was kept of a card that opens nothing any more is gone. */
export async function forgetOffline(): Promise<void> {
  if ("caches" in window) await caches.delete(KEPT);
}
