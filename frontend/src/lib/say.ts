// The screens' own sentences, by key, from one file a language (config/messages/screens.en.json). What the server says comes with
// its answers. A key that is not there does not compile; one that is not used is found by a spec.
import words from "../../../config/messages/screens.en.json";

export type Words = keyof typeof words;

/** A sentence; {name} in it stands for what is given by that name. */
export const say = (key: Words, given: Record<string, string | number | null | undefined> = {}): string =>
  words[key].replace(/\{(\w+)\}/g, (whole, name: string) => (name in given ? String(given[name] ?? "") : whole));
