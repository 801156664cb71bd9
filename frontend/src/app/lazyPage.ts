// Places that are fetched when they are first opened, and all of them once the first page stands: so that the next opens at once,
// and works when the network is gone.
import { type ComponentType, lazy } from "react";

const loaders: (() => Promise<unknown>)[] = [];

export function page(load: () => Promise<ComponentType>) {
  loaders.push(load);
  return lazy(() => load().then((component) => ({ default: component })));
}

/** What is not reached now is asked for again when it is opened. */
export function fetchAllPages() {
  for (const load of loaders) load().catch(() => undefined);
}
