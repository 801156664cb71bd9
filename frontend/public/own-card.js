// Keeps a client's own card readable without a network: the page itself and its files, nothing of anybody else's.
const KEPT = "own-card";
const PAGE = "/mine";

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));
self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== "GET" || origin !== self.location.origin) return;
  if (request.mode === "navigate") event.respondWith(newest(request));
  else if (pathname.startsWith("/assets/")) event.respondWith(first(request));
});

/** The page as the gym has it, or as it was. */
async function newest(request) {
  const cache = await caches.open(KEPT);
  try {
    const answer = await fetch(request);
    if (answer.ok) await cache.put(PAGE, answer.clone());
    return answer;
  } catch {
    return (await cache.match(PAGE)) ?? Response.error();
  }
}

/** A file whose name says what is in it: kept once, it is the same for ever. */
async function first(request) {
  const cache = await caches.open(KEPT);
  const kept = await cache.match(request);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request, answer.clone());
  return answer;
}
