const STEPS = [5, 10, 15, 30] as const;
const MOST_TICKS = 13;

/** Minutes at which a line of so many is marked: every five, fewer where it is long. */
export function ticks(minutes: number): number[] {
  const step = STEPS.find((one) => minutes / one <= MOST_TICKS) ?? 30;
  return Array.from({ length: Math.floor(minutes / step) + 1 }, (_, index) => index * step);
}
