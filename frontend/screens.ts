// The screens' sentences at build: those that the first page says come with it, all others in a piece of their own, which every
// other place waits for. What the first page says is seen in its own modules: nobody keeps a list.
import { readFileSync } from "node:fs";
import type { Plugin } from "vite";

const FILE = new URL("../config/messages/screens.en.json", import.meta.url).pathname;
const SAID = /\bsay\(\s*"([^"]+)"/g;

/** first: what the keys of the first page begin with, before the point. */
export function screens(first: readonly string[]): Plugin {
  const words = () => Object.entries(JSON.parse(readFileSync(FILE, "utf8")) as Record<string, string>);
  const ofFirst = (key: string) => first.includes(key.split(".")[0] ?? "");
  const json = (entries: [string, string][]) => `export default ${JSON.stringify(Object.fromEntries(entries))}`;
  return {
    name: "screens",
    resolveId: (id) => (id.startsWith("virtual:screens/") ? `\0${id}` : null),
    load(id) {
      if (id !== "\0virtual:screens/first" && id !== "\0virtual:screens/rest") return null;
      this.addWatchFile(FILE);
      return json(words().filter(([key]) => ofFirst(key) === id.endsWith("first")));
    },
    generateBundle(_, bundle) {
      const entry = Object.values(bundle).find((one) => one.type === "chunk" && one.isEntry);
      if (entry?.type !== "chunk") return;
      const own = Object.keys(entry.modules).filter((id) => /\/src\/[^?]+\.tsx?$/.test(id));
      const said = own.flatMap((id) => [...readFileSync(id, "utf8").matchAll(SAID)].map((match) => match[1] ?? ""));
      const late = said.filter((key) => !ofFirst(key));
      if (late.length > 0) this.error(`The first page says what comes later (vite.config.ts): ${late.join(", ")}`);
    },
  };
}
