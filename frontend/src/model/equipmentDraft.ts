// What is typed of the gym's cushions, pads, plates and bands.
import { parseNumber } from "../lib/lengths";

const MOST_PLATES = 12;

/** "20, 40" as [20, 40] (mm), each once and in order; null where something is no size. */
export function parseSizes(typed: string): number[] | null {
  const sizes = typed
    .split(/[,;\s]+/)
    .filter((part) => part !== "")
    .map(parseNumber);
  return sizes.every((size) => size !== null && size >= 1 && size <= 200)
    ? [...new Set(sizes as number[])].sort((one, other) => one - other)
    : null;
}

export type Plate = { mass: number; unit: "kg" | "lb"; pairs: number };

/** "20 x 3, 45 lb x 2" as plates; null where something is none. */
export function parsePlates(typed: string): Plate[] | null {
  const plates = typed
    .split(/[;,]+/)
    .map((part) => part.trim())
    .filter((part) => part !== "")
    .map((part) => {
      const found = /^([\d.]+)\s*(kg|lb)?\s*[x×]\s*(\d{1,2})$/i.exec(part);
      const mass = found ? parseNumber(found[1] ?? "") : null;
      const pairs = Number(found?.[3]);
      if (mass === null || mass < 0.1 || mass > 100 || pairs < 1 || pairs > 20) return null;
      return { mass, unit: (found?.[2]?.toLowerCase() ?? "kg") as Plate["unit"], pairs };
    });
  return plates.every((plate) => plate !== null) && plates.length <= MOST_PLATES ? plates : null;
}

export type Band = { name: string; newton: number };

/** "red 100, black 180 N" as bands, by how hard they pull; null where something is none, or two are alike. */
export function parseBands(typed: string): Band[] | null {
  const bands = typed
    .split(/[;,]+/)
    .map((part) => part.trim())
    .filter((part) => part !== "")
    .map((part) => {
      const found = /^(.*\S)\s+(\d{1,3})\s*N?$/.exec(part);
      const [name, newton] = [found?.[1] ?? "", Number(found?.[2])];
      return name === "" || name.length > 30 || !(newton >= 5 && newton <= 400) ? null : { name, newton };
    });
  if (!bands.every((band) => band !== null) || bands.length > MOST_PLATES) return null;
  const alike = [bands.map(({ name }) => name.toLowerCase()), bands.map(({ newton }) => newton)];
  return alike.every((list) => new Set<string | number>(list).size === bands.length) ? bands : null;
}
