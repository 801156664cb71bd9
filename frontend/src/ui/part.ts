// Parts that are seldom on the first picture: each is fetched when it is first wanted, or when there is time. Where one stands
// somebody puts a Suspense round it.
import { type ComponentType, lazy } from "react";
import { fetchWords } from "../lib/say";

/** What fetches each of them, as far as the places that have them are there. */
export const parts: (() => Promise<unknown>)[] = [];

export function part<Props extends object>(load: () => Promise<ComponentType<Props>>): ComponentType<Props> {
  const fetch = () =>
    fetchWords()
      .then(load)
      .then((component) => ({ default: component }));
  parts.push(fetch);
  return lazy(fetch);
}
