// A named list of exercises for an aim, day by day: each by what it works, so that it lands on whichever machine serves.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Form } from "react-aria-components";
import { useNavigate, useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { programmesQuery } from "../../api/queries";
import type { Programme, Programmes } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Section, SectionTitle, Title } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { useKept } from "../../ui/useKept";
import { useTitle } from "../../ui/useTitle";
import { useClientName } from "./useClientName";

const Day = styled(Section)`
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  & + & {
    margin-top: ${space(4)};
  }
`;
const Row = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr) 7rem auto;
  gap: ${space(2)};
  align-items: center;
  margin-top: ${space(2)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-top: ${space(4)};
`;

type Draft = Pick<Programme, "name" | "days">;
type DayDraft = Draft["days"][number];
type Exercise = DayDraft["exercises"][number];
const LETTERS = ["A", "B", "C", "D", "E", "F", "G"];
const MOST_DAYS = 7;
const MOST_EXERCISES = 20;
const SETS = ["1", "2", "3", "4"].map((count) => [count, say("programmePage.sets", { sets: count })] as const);
const NEW: Exercise = { action: "press", part: "main", sets: 3 };
const EMPTY: Draft = { name: "", days: [{ name: "A", exercises: [NEW] }] };

const replaced = <T,>(list: readonly T[], at: number, one: T | null): T[] =>
  list.flatMap((old, index) => (index === at ? (one === null ? [] : [one]) : [old]));

export function ProgrammePage() {
  const { id = "new" } = useParams();
  const [query] = useSearchParams();
  const client = query.get("client");
  const all = useQuery(programmesQuery(client));
  const stands = all.data?.programmes.find((one) => one.id === id);
  if (!all.data) return null;
  if (id !== "new" && !stands)
    return (
      <Page>
        <Notice tone="wrong">{say("programmePage.gone")}</Notice>
      </Page>
    );
  return <Sheet key={`${id} ${stands?.version ?? 0}`} all={all.data} stands={stands ?? null} client={client} />;
}

type SheetProps = {
  all: Programmes;
  stands: Programme | null;
  /** whose it is; null: the gym's own */ client: string | null;
};

function Sheet({ all, stands, client }: SheetProps) {
  const start = stands ? { name: stands.name, days: stands.days } : EMPTY;
  const [draft, setDraft, forget] = useKept<Draft>(`programme ${stands?.id ?? "new"} ${stands?.version ?? 0}`, start);
  useTitle(draft.name || say("programmePage.title"));
  const writing = useProgramme(stands, client, forget);
  const day = (at: number, one: DayDraft | null) => setDraft({ ...draft, days: replaced(draft.days, at, one) });
  const ready = draft.name.trim() !== "" && draft.days.every(({ exercises }) => exercises.length > 0);
  return (
    <Page>
      <PageHead>
        <Title>{stands ? stands.name : say("programmePage.title")}</Title>
        {client ? <Whose id={client} /> : null}
      </PageHead>
      {writing.problem ? <Notice tone="wrong">{writing.problem}</Notice> : null}
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          writing.keep.mutate(draft);
        }}
      >
        <div style={{ maxWidth: "26rem", marginBottom: space(5) }}>
          <Field
            label={say("programmePage.name")}
            value={draft.name}
            maxLength={80}
            autoComplete="off"
            onChange={(name) => setDraft({ ...draft, name })}
          />
        </div>
        {draft.days.map((one, at) => (
          <Day key={at} aria-label={say("programmePage.day", { day: one.name })}>
            <SectionTitle>{say("programmePage.day", { day: one.name })}</SectionTitle>
            {one.exercises.map((exercise, place) => (
              <ExerciseRow
                key={place}
                exercise={exercise}
                all={all}
                number={place + 1}
                onChange={(next) => day(at, { ...one, exercises: replaced(one.exercises, place, next) })}
              />
            ))}
            <Ways>
              <SecondaryButton
                isDisabled={one.exercises.length >= MOST_EXERCISES}
                onPress={() => day(at, { ...one, exercises: [...one.exercises, NEW] })}
              >
                {say("programmePage.addExercise")}
              </SecondaryButton>
              {draft.days.length > 1 ? (
                <QuietButton onPress={() => day(at, null)}>
                  {say("programmePage.removeDay", { day: one.name })}
                </QuietButton>
              ) : null}
            </Ways>
          </Day>
        ))}
        <Ways>
          <PrimaryButton type="submit" isDisabled={!ready || writing.keep.isPending}>
            {say("programmePage.keep")}
          </PrimaryButton>
          <SecondaryButton
            isDisabled={draft.days.length >= MOST_DAYS}
            onPress={() => setDraft({ ...draft, days: [...draft.days, nextDay(draft.days)] })}
          >
            {say("programmePage.addDay")}
          </SecondaryButton>
          {stands ? (
            <QuietButton onPress={() => writing.remove.mutate()} isDisabled={writing.remove.isPending}>
              {say("programmePage.remove")}
            </QuietButton>
          ) : null}
        </Ways>
      </Form>
    </Page>
  );
}

const Whose = ({ id }: { id: string }) => <Muted>{say("programmePage.whose", { name: useClientName(id) })}</Muted>;

/** Named by the first letter that no day has, as the last one was. */
const nextDay = (days: readonly DayDraft[]): DayDraft => ({
  name: LETTERS.find((letter) => days.every(({ name }) => name !== letter)) ?? String(days.length + 1),
  exercises: days.at(-1)?.exercises ?? [NEW],
});

type RowProps = {
  exercise: Exercise;
  all: Programmes;
  number: number;
  onChange: (exercise: Exercise | null) => void;
};

function ExerciseRow({ exercise, all, number, onChange }: RowProps) {
  const named = all.actions.find(({ name }) => name === exercise.action)?.title ?? "";
  return (
    <Row role="group" aria-label={say("programmePage.exercise", { number })}>
      <Select
        label={say("programmePage.action", { number })}
        hiddenLabel
        options={all.actions.map(({ name, title }) => [name, title] as const)}
        value={exercise.action}
        onChange={(action) => onChange({ ...exercise, action: action as Exercise["action"] })}
      />
      <Select
        label={say("programmePage.part", { number })}
        hiddenLabel
        options={all.parts.map(({ name, title }) => [name, title] as const)}
        value={exercise.part}
        onChange={(part) => onChange({ ...exercise, part: part as Exercise["part"] })}
      />
      <Select
        label={say("programmePage.setsOf", { number })}
        hiddenLabel
        options={SETS}
        value={String(exercise.sets)}
        onChange={(sets) => onChange({ ...exercise, sets: Number(sets) })}
      />
      <QuietButton onPress={() => onChange(null)}>{say("programmePage.removeExercise", { name: named })}</QuietButton>
    </Row>
  );
}

function useProgramme(stands: Programme | null, client: string | null, forget: () => void) {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const onSuccess = async () => {
    forget();
    await queryClient.invalidateQueries({ queryKey: keys.programmes });
    await navigate(client ? `/clients/${client}/session` : "/sessions");
  };
  const keep = useMutation({
    mutationFn: (draft: Draft): Promise<unknown> => {
      if (!stands)
        return unwrap(
          api.POST("/api/programmes", { params: { header: newKey() }, body: { ...draft, client_id: client } }),
        );
      const { aim, weeks, begins_on, version, id } = stands;
      return unwrap(
        api.PUT("/api/programmes/{id}", {
          params: { path: { id }, header: newKey() },
          body: { ...draft, aim, weeks, begins_on, version },
        }),
      );
    },
    onSuccess,
  });
  const remove = useMutation({
    mutationFn: (): Promise<unknown> =>
      unwrap(
        api.POST("/api/programmes/{id}/removal", {
          params: { path: { id: stands?.id ?? "" }, header: newKey() },
          body: { version: stands?.version ?? 1 },
        }),
      ),
    onSuccess,
  });
  return { keep, remove, problem: refusal(keep.error ?? remove.error)?.message };
}
