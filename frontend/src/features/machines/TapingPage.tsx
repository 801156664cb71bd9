// Taping a machine, one length a step: where the tape goes, what is odd about what was read, and live how three people would sit.
import { say } from "../../lib/say";
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, Refused, unwrap } from "../../api/client";
import { machineQuery, meQuery } from "../../api/queries";
import type { MachinePage } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { TapedDrawing } from "../../scene/TapedDrawing";
import type { LengthUnit } from "../../lib/lengths";
import { lengthWords } from "../../model/machineLengths";
import { Choice } from "../../ui/Choice";
import { PrimaryLink, SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, Section, SectionTitle, Title } from "../../ui/Page";
import {
  GuidedColumns,
  GuidedEnds,
  GuidedHead,
  GuidedItem,
  GuidedList,
  GuidedPicture,
  LENGTH_UNITS,
} from "../../ui/Guided";
import { space } from "../../ui/tokens";
import { useKept } from "../../ui/useKept";
import { LengthForm } from "./LengthForm";
import { PeopleInWords, PeopleOnIt } from "./PeopleOnIt";
import { TravelForm } from "./TravelForm";
import { nextStep, stepsOf, type TapeStep } from "./tapeSteps";

const Middle = styled.div`
  display: grid;
  gap: ${space(3)};
`;

const PAUSE_MS = 180;

const Picture = styled(GuidedPicture)`
  height: min(44vh, 24rem);
`;

export function TapingPage() {
  const { id = "" } = useParams();
  const page = useQuery({ ...machineQuery(id), refetchOnWindowFocus: false });
  const me = useQuery(meQuery);
  useTitle(page.data ? say("tapingPage.tapeName", { name: page.data.machine.name }) : say("tapingPage.tapeAMachine"));
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message ?? say("tapingPage.thisMachineCouldNotBe")}</Notice>
      </Page>
    );
  if (!page.data || !me.data) return null;
  return <Taping id={id} page={page.data} unitAtFirst={me.data.length_unit} locale={me.data.gym.locale} />;
}

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

type Props = { id: string; page: MachinePage; unitAtFirst: LengthUnit; locale: string };

function Taping({ id, page, unitAtFirst, locale }: Props) {
  const [unit, setUnit] = useKept<LengthUnit>("unit", unitAtFirst);
  const [exerciseName, setExerciseName] = useState(page.exercises[0]?.name ?? "");
  const exercise = page.exercises.find(({ name }) => name === exerciseName) ?? page.exercises[0];
  const [chosen, setChosen] = useState(() => (exercise ? nextStep(exercise, null)?.id : undefined));
  const [typed, setTyped] = useState<Typed>(null);
  const [said, setSaid] = useState<ReactNode>("");
  const queryClient = useQueryClient();
  const rested = useRested(typed);
  const trial = useQuery({
    queryKey: ["machine", id, "trial", exerciseName, rested, unit, page.version],
    queryFn: () =>
      unwrap(
        api.POST("/api/machines/{id}/trial", {
          params: { path: { id } },
          body: { exercise: exerciseName, unit, ...(rested ?? {}) },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
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
      void queryClient.invalidateQueries({ queryKey: ["machines"] });
      void queryClient.invalidateQueries({ queryKey: ["machine", id, "population"] });
      const now = next.exercises.find(({ name }) => name === exerciseName);
      const forgotten = "value" in sent ? sent.value === null : sent.travel === null;
      const done = forgotten ? say("tapingPage.forgotten") : say("tapingPage.kept");
      // From the second description on, somebody was fitted on an earlier one.
      setSaid(
        next.number > 1 ? (
          <>
            {done} <Link to={`/machines/${id}#changed`}>{say("tapingPage.seeWhoseAdviceChanges")}</Link>
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
        void queryClient.invalidateQueries({ queryKey: ["machine", id] });
    },
  });
  if (!exercise) return null;
  const steps = stepsOf(exercise);
  const step = steps.find((one) => one.id === chosen) ?? steps[0];
  const open = steps.filter(({ done }) => !done).length;
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
  const Leave = open === 0 ? PrimaryLink : SecondaryLink;
  const common = { unit, locale, trial: trial.data, busy: keep.isPending, thrown: keep.error, said };
  return (
    <Page>
      <GuidedHead>
        <div>
          <Title>
            {say("tapingPage.tape")} {page.machine.name}
          </Title>
          <Muted>{say("tapingPage.lightestLoadNobodyInIt")}</Muted>
        </div>
        <GuidedEnds>
          {page.exercises.length > 1 ? (
            <Choice
              compact
              label={say("tapingPage.exercise")}
              options={page.exercises.map(({ name, title }) => [name, title ?? name] as const)}
              value={exercise.name}
              onChange={(name) => {
                setExerciseName(name);
                const other = page.exercises.find((one) => one.name === name);
                choose((other && nextStep(other, null)?.id) ?? "");
              }}
            />
          ) : null}
          <Choice compact label={say("tapingPage.unit")} options={LENGTH_UNITS} value={unit} onChange={setUnit} />
          <Leave to={`/machines/${id}`}>
            {open === 0 ? say("tapingPage.allTapedToTheMachine") : say("tapingPage.toTheMachine")}
          </Leave>
        </GuidedEnds>
      </GuidedHead>
      <GuidedColumns>
        <GuidedList aria-label={say("tapingPage.lengths")}>
          {steps.map((one) => (
            <li key={one.id}>
              <GuidedItem onPress={() => choose(one.id)} aria-current={one.id === step?.id ? "step" : undefined}>
                <span>{one.title}</span>
                <small>{stateOf(one, unit)}</small>
              </GuidedItem>
            </li>
          ))}
        </GuidedList>
        <Middle>
          <Picture>
            {step ? (
              <TapedDrawing
                drawing={(trial.data ?? exercise).drawing}
                hand={step.length ? { constant: step.length.name } : { travel: step.adjuster?.label ?? "" }}
                title={step.title}
              />
            ) : null}
          </Picture>
          {trial.data ? <PeopleInWords trial={trial.data} /> : null}
        </Middle>
        {step?.length ? (
          <LengthForm
            key={`${exercise.name} ${step.id} ${unit}`}
            {...common}
            length={step.length}
            onTyped={(value) => type(value === null ? null : { name: step.id, value })}
            onKeep={(value, confirmed) => keep.mutate({ name: step.id, value, confirmed })}
          />
        ) : step?.adjuster ? (
          <TravelForm
            key={`${exercise.name} ${step.id} ${unit}`}
            {...common}
            adjuster={step.adjuster}
            drives={step.drives}
            onTyped={(travel) => type(travel === null ? null : { adjuster: step.adjuster?.label ?? "", travel })}
            onKeep={(travel, confirmed) => keep.mutate({ adjuster: step.adjuster?.label ?? "", travel, confirmed })}
          />
        ) : null}
      </GuidedColumns>
      {trial.data && trial.data.people.some(({ scene }) => scene) ? (
        <Section style={{ marginTop: "1.5rem" }}>
          <SectionTitle>{say("tapingPage.howPeopleWouldSitOn")}</SectionTitle>
          <PeopleOnIt trial={trial.data} />
        </Section>
      ) : null}
    </Page>
  );
}

type Length = { confirmed: boolean } & (
  { name: string; value: number | null } | { adjuster: string; travel: number[] | null }
);

function stateOf(step: TapeStep, unit: LengthUnit): string {
  const copied = (step.length?.taped ?? step.adjuster?.taped)?.copied ? say("tapingPage.copiedToBeChecked") : "";
  if (step.length) return (lengthWords(step.length, unit) ?? say("tapingPage.open")) + copied;
  return (step.done ? say("tapingPage.taped") : say("tapingPage.open")) + copied;
}
