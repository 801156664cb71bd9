// Places that are fetched when they are first opened, and all of them once the first page stands: so that the next opens at once,
// and works when the network is gone.
import { type ComponentType, lazy, useState } from "react";
import { noteVersion, renewIfNewer } from "../lib/newer";
import { fetchWords } from "../lib/say";
import { parts } from "../ui/part";

type Loaded = { default: ComponentType };
export type Page = ComponentType & { fetch: () => Promise<Loaded> };

const loaders: (() => Promise<Loaded>)[] = [];

/** One that is there stands with the first picture; one that is not is waited for. */
export function page(load: () => Promise<ComponentType>): Page {
  let there: ComponentType | null = null;
  const fetch = () =>
    fetchWords()
      .then(load)
      .then((component) => {
        there = component;
        return { default: component };
      })
      .catch(async (error: unknown) => {
        // A newer version has no file of that name any more.
        await window.fetch("/auth/first").then(noteVersion, () => undefined);
        renewIfNewer();
        throw error;
      });
  const Awaited = lazy(fetch);
  loaders.push(fetch);
  return Object.assign(
    function Place() {
      // What was shown first stays: another one in its place would begin anew.
      const [Shown] = useState<ComponentType>(() => there ?? Awaited);
      return <Shown />;
    },
    { fetch },
  );
}

/**
 * One after the other, each when the browser has nothing else to do: a touch never waits for a place nobody asked for. What is not
 * reached now is asked for again when it is opened.
 */
export async function fetchAllPages(stopped: AbortSignal) {
  // The frame's parts, the places, and then what those have parts of.
  for (const list of [parts, loaders, parts])
    for (const load of list) {
      await idle();
      if (stopped.aborted) return;
      await load().catch(() => undefined);
    }
}

/** Not every browser says when it is idle: there, a little later. */
const idle = () =>
  new Promise<void>((resolve) => {
    if ("requestIdleCallback" in window) window.requestIdleCallback(() => resolve(), { timeout: 5000 });
    else setTimeout(resolve, 200);
  });
