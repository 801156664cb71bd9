// A repetition's tempo over time: which repetition and phase it is after so many seconds, and how much of the phase is left.
export type Tempo = {
  up_s: number;
  /** of up, before it goes faster; null where it is one part */
  slow_s: number | null;
  hold_s: number;
  down_s: number;
  pause_s: number;
  set_s: number | null;
  most_repetitions: number | null;
};
export type Phase = "slow" | "up" | "fast" | "hold" | "down" | "pause";
export type Beat = { repetition: number; phase: Phase; left_s: number; whole_s: number };

const upwards = ({ up_s, slow_s }: Tempo): [Phase, number][] =>
  slow_s === null
    ? [["up", up_s]]
    : [
        ["slow", slow_s],
        ["fast", up_s - slow_s],
      ];

const phasesOf = (tempo: Tempo): [Phase, number][] =>
  (
    [...upwards(tempo), ["hold", tempo.hold_s], ["down", tempo.down_s], ["pause", tempo.pause_s]] as [Phase, number][]
  ).filter(([, seconds]) => seconds > 0);

/** How long a set lasts: a slow timed set its own time, any other its repetitions. */
export const setSeconds = (tempo: Tempo, repetitions: number): number =>
  tempo.set_s ?? repetitions * phasesOf(tempo).reduce((sum, [, seconds]) => sum + seconds, 0);

/** Null once the set is over: after its time, its repetitions, or a timed set's ceiling of them. */
export function beatAt(tempo: Tempo, repetitions: number, elapsed_s: number): Beat | null {
  const phases = phasesOf(tempo);
  const whole = phases.reduce((sum, [, seconds]) => sum + seconds, 0);
  if (whole === 0 || elapsed_s >= setSeconds(tempo, repetitions)) return null;
  const repetition = Math.floor(elapsed_s / whole) + 1;
  if (tempo.most_repetitions !== null && repetition > tempo.most_repetitions) return null;
  let into = elapsed_s - (repetition - 1) * whole;
  for (const [phase, seconds] of phases) {
    if (into < seconds) return { repetition, phase, left_s: seconds - into, whole_s: seconds };
    into -= seconds;
  }
  return null;
}

/** "1:27" */
export const clock = (seconds: number): string => {
  const whole = Math.max(0, Math.floor(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
};
