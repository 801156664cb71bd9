// The lengths of a machine in the order in which they are taped: each constant, and behind the
// constants that an adjuster moves, its way from mark to mark: so the first few steps already say where the knee is.
import { say } from "../../lib/say";
import type { MachineAdjuster, MachineExercise, MachineLength } from "../../api/types";

export type TapeStep = {
  id: string;
  title: string;
  done: boolean;
  /** what the step is about: a length, or an adjuster's travel */
  length: MachineLength | null;
  adjuster: MachineAdjuster | null;
  drives: string[];
};

export function stepsOf(exercise: MachineExercise): TapeStep[] {
  const names = exercise.lengths.map(({ name }) => name);
  const lastOf = (drives: readonly string[]) => Math.max(...drives.map((name) => names.indexOf(name)));
  const moving = exercise.adjusters.filter(({ drives }) => drives.length > 0);
  return exercise.lengths.flatMap((length, index) => [
    lengthStep(length),
    ...moving.filter(({ drives }) => lastOf(drives) === index).map(travelStep),
  ]);
}

const lengthStep = (length: MachineLength): TapeStep => ({
  id: length.name,
  title: length.title,
  done: length.value !== null || length.default !== null || length.optional,
  length,
  adjuster: null,
  drives: [length.name],
});

const travelStep = (adjuster: MachineAdjuster): TapeStep => ({
  id: `${adjuster.label}/travel`,
  title: say("tapeSteps.rowName", { name: adjuster.name }),
  done: adjuster.travel !== null,
  length: null,
  adjuster,
  drives: adjuster.drives,
});

/** The first open step after the one at hand, else the first open one; null when all is taped. */
export function nextStep(exercise: MachineExercise, after: string | null): TapeStep | null {
  const steps = stepsOf(exercise);
  const at = steps.findIndex(({ id }) => id === after);
  return (
    steps.find(({ done }, index) => !done && index > at) ??
    steps.find(({ done }) => !done) ??
    (after === null ? (steps[0] ?? null) : null)
  );
}
