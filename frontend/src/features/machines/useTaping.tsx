// What somebody who tapes a machine does: which exercise, which length, what is typed, and keeping it.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useEffect, useState } from "react";
import { Link } from "react-router";
import { api, newKey, Refused, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { machineQuery, trialQuery } from "../../api/queries";
import type { MachinePage } from "../../api/types";
import type { LengthUnit } from "../../lib/lengths";
import { say } from "../../lib/say";
import { useKept } from "../../ui/useKept";
import { nextStep, stepsOf } from "./tapeSteps";

const PAUSE_MS = 180;

type Typed = { name: string; value: number } | { adjuster: string; travel: number[] } | null;

/** What was typed, once the typing rests. */
function useRested(typed: Typed): Typed {
  const [rested, setRested] = useState(typed);
  useEffect(() => {
    const timer = window.setTimeout(() => setRested(typed), PAUSE_MS);
    return () => window.clearTimeout(timer);
  }, [typed]);
  return rested;
}

type Length = { confirmed: boolean } & (
  { name: string; value: number | null } | { adjuster: string; travel: number[] | null }
);

/** null where the machine has no exercise to tape. */
export function useTaping(id: string, page: MachinePage, unitAtFirst: LengthUnit) {
  const [unit, setUnit] = useKept<LengthUnit>("unit", unitAtFirst);
  const [exerciseName, setExerciseName] = useState(page.exercises[0]?.name ?? "");
  const exercise = page.exercises.find(({ name }) => name === exerciseName) ?? page.exercises[0];
  const [chosen, setChosen] = useState(() => (exercise ? nextStep(exercise, null)?.id : undefined));
  const [typed, setTyped] = useState<Typed>(null);
  const [said, setSaid] = useState<ReactNode>("");
  const queryClient = useQueryClient();
  const rested = useRested(typed);
  const trial = useQuery(trialQuery(id, page.version, { exercise: exerciseName, unit, ...rested }));
  const keep = useMutation({
    mutationFn: ({ confirmed, ...length }: Length) =>
      unwrap(
        api.PUT("/api/machines/{id}/lengths", {
          params: { path: { id }, header: newKey() },
          body: { version: page.version, exercise: exerciseName, confirmed, unit, ...length },
        }),
      ),
    onSuccess: (next, sent) => {
      queryClient.setQueryData(machineQuery(id).queryKey, next);
      void queryClient.invalidateQueries({ queryKey: keys.machines });
      void queryClient.invalidateQueries({ queryKey: keys.population(id) });
      const now = next.exercises.find(({ name }) => name === exerciseName);
      const forgotten = "value" in sent ? sent.value === null : sent.travel === null;
      const done = forgotten ? say("tapingPage.forgotten") : say("tapingPage.kept");
      // From the second description on, somebody was fitted on an earlier one.
      setSaid(
        next.number > 1 ? (
          <>
            {done} <Link to={`/machines/${id}#changed`}>{say("tapingPage.changesLink")}</Link>
          </>
        ) : (
          done
        ),
      );
      setTyped(null);
      if (now && !forgotten) setChosen(nextStep(now, chosen ?? null)?.id ?? chosen);
    },
    onError: (thrown) => {
      if (thrown instanceof Refused && thrown.status === 409)
        void queryClient.invalidateQueries({ queryKey: keys.machine(id) });
    },
  });
  if (!exercise) return null;
  const steps = stepsOf(exercise);
  const step = steps.find((one) => one.id === chosen) ?? steps[0];
  // Typed anew, it is no longer what was refused.
  const type = (next: Typed) => {
    if (keep.isError) keep.reset();
    setTyped(next);
  };
  const choose = (next: string) => {
    keep.reset();
    setTyped(null);
    setSaid("");
    setChosen(next);
  };
  const turnTo = (name: string) => {
    setExerciseName(name);
    const other = page.exercises.find((one) => one.name === name);
    choose((other && nextStep(other, null)?.id) ?? "");
  };
  return { exercise, steps, step, unit, setUnit, trial: trial.data, keep, said, type, choose, turnTo };
}
