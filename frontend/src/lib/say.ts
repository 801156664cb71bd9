// The screens' own sentences, by key, from one file a language (config/messages/screens.en.json). What the server says comes with
// its answers. A key that is not there does not compile; one that is not used is found by a spec. Those of the first page come with
// it; every other place waits for the others (fetchWords).
import type all from "../../../config/messages/screens.en.json";
import first from "virtual:screens/first";

export type Words = keyof typeof all;

const words: Record<string, string> = { ...first };
let fetching: Promise<void> | null = null;

/** The sentences of all places but the first; once. What cannot be fetched is asked for again. */
export function fetchWords(): Promise<void> {
  fetching ??= import("virtual:screens/rest").then(
    ({ default: rest }) => void Object.assign(words, rest),
    (thrown: unknown) => {
      fetching = null;
      throw thrown;
    },
  );
  return fetching;
}

/** A sentence; {name} in it stands for what is given by that name. */
export const say = (key: Words, given: Record<string, string | number | null | undefined> = {}): string =>
  (words[key] ?? "").replace(/\{(\w+)\}/g, (whole, name: string) =>
    name in given ? String(given[name] ?? "") : whole,
  );
