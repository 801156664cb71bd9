// Practising: a client who is made up on one of the gym's machines; what was given to everybody; how it went.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { meQuery, practiceQuery } from "../../api/queries";
import type { Practice, PracticeSummary } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import {
  Columns,
  Empty,
  Muted,
  Page,
  PageHead,
  Rows,
  Section,
  SectionTitle,
  Small,
  Strong,
  Title,
} from "../../ui/Page";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { colour, font, radius, space, target } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { RowLink } from "../shared/RowLink";
import { May } from "../shared/May";

const Fields = styled.div`
  display: grid;
  gap: ${space(3)};
  justify-items: start;
  > * {
    min-width: min(100%, 22rem);
  }
`;
const Numbers = styled.ol`
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  gap: ${space(2)};
  margin: ${space(2)} 0;
`;
const NumberButton = styled(SecondaryButton)`
  display: grid;
  width: 100%;
  min-height: ${target.step};
  padding: ${space(1)};
  font-family: ${font.mark};
`;
const Task = styled.div`
  padding: ${space(3)} ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  & + & {
    margin-top: ${space(3)};
  }
`;
const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: ${space(3)};
`;

type Begin = { task_id: string; number: number } | { machine_id: string; exercise: string; level: Level };
type Level = Practice["levels"][number]["name"];

export function PracticePage() {
  useTitle(say("practicePage.title"));
  const practice = useQuery(practiceQuery);
  const me = useQuery(meQuery);
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const begin = useMutation({
    mutationFn: (body: Begin) => unwrap(api.POST("/api/practice/runs", { params: { header: newKey() }, body })),
    onSuccess: async (run) => {
      queryClient.setQueryData(keys.practiceRun(run.id), run);
      await queryClient.invalidateQueries({ queryKey: keys.practice });
      await navigate(`/practice/${run.id}`);
    },
  });
  if (practice.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(practice.error)?.message}</Notice>
      </Page>
    );
  if (!practice.data) return null;
  const { tasks, runs, people } = practice.data;
  const locale = me.data?.gym.locale ?? "en-GB";
  return (
    <Page>
      <PageHead>
        <Title>{say("practicePage.title")}</Title>
        <Muted>{say("practicePage.lead")}</Muted>
      </PageHead>
      {begin.error ? <Notice tone="wrong">{refusal(begin.error)?.message}</Notice> : null}
      <Columns>
        <div>
          <NewRun practice={practice.data} busy={begin.isPending} onBegin={begin.mutate} />
          <Section>
            <SectionTitle>{say("practicePage.given")}</SectionTitle>
            {tasks.length === 0 ? <Empty>{say("practicePage.nothingGiven")}</Empty> : null}
            {tasks.map((task) => (
              <GivenTask key={task.id} task={task} onBegin={begin.mutate} />
            ))}
          </Section>
          <May ask="givePractice">
            <Give practice={practice.data} />
          </May>
        </div>
        <div>
          <Section>
            <SectionTitle>{say("practicePage.own")}</SectionTitle>
            {runs.length === 0 ? <Empty>{say("practicePage.noneYet")}</Empty> : null}
            <Rows>
              {runs.map((run) => (
                <li key={run.id}>
                  <RowLink to={`/practice/${run.id}`}>
                    <span>
                      <Strong>{run.machine_name}</Strong> <Small>{momentText(run.begun_at ?? "", locale)}</Small>
                    </span>
                    <span>{outcome(run)}</span>
                  </RowLink>
                </li>
              ))}
            </Rows>
          </Section>
          <May ask="lookAtPractice">
            <People people={people} locale={locale} />
          </May>
        </div>
      </Columns>
    </Page>
  );
}

function outcome({ over, passed, total }: PracticeSummary) {
  if (!over) return say("practicePage.open");
  return passed ? say("practicePage.passed", { total }) : say("practicePage.notPassed", { total });
}

function NewRun({ practice, busy, onBegin }: { practice: Practice; busy: boolean; onBegin: (body: Begin) => void }) {
  const { machines, levels } = practice;
  const [chosen, setChosen] = useState("0");
  const [level, setLevel] = useState<Level>("usual");
  const machine = machines[Number(chosen)];
  if (!machine) return <Empty>{say("practicePage.noMachine")}</Empty>;
  return (
    <Section>
      <SectionTitle>{say("practicePage.new")}</SectionTitle>
      <Fields>
        <Select
          label={say("practicePage.machine")}
          options={machines.map(({ name }, index) => [String(index), name] as const)}
          value={chosen}
          onChange={setChosen}
        />
        <Select
          label={say("practicePage.level")}
          options={levels.map(({ name, title }) => [name, title] as const)}
          value={level}
          onChange={setLevel}
        />
        <PrimaryButton
          isDisabled={busy}
          onPress={() => onBegin({ machine_id: machine.id, exercise: machine.exercise, level })}
        >
          {say("practicePage.begin")}
        </PrimaryButton>
      </Fields>
    </Section>
  );
}

/** Ten that are the same for everybody. */
function GivenTask({ task, onBegin }: { task: Practice["tasks"][number]; onBegin: (body: Begin) => void }) {
  const queryClient = useQueryClient();
  const out = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/practice/tasks/{id}/removal", { params: { path: { id: task.id }, header: newKey() }, body: {} }),
      ),
    onSuccess: (page) => queryClient.setQueryData(keys.practice, page),
  });
  return (
    <Task>
      <Head>
        <Strong>{task.name}</Strong>
        <May ask="removePractice">
          <QuietButton isDisabled={out.isPending} onPress={() => out.mutate()}>
            {say("practicePage.takeOut")}
          </QuietButton>
        </May>
      </Head>
      <Numbers>
        {task.numbers.map(({ number, machine_name, run }) => (
          <li key={number}>
            <NumberButton
              aria-label={say("practicePage.number", { number, machine: machine_name })}
              onPress={() => onBegin({ task_id: task.id, number })}
            >
              {number}
              <Small>{run ? (run.over ? (run.total ?? "") : "…") : " "}</Small>
            </NumberButton>
          </li>
        ))}
      </Numbers>
    </Task>
  );
}

const MOST_MACHINES = 10;
const Machines = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  width: 100%;
`;

function Give({ practice }: { practice: Practice }) {
  const [name, setName] = useState("");
  const [level, setLevel] = useState<Level>("usual");
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const queryClient = useQueryClient();
  const give = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/practice/tasks", {
          params: { header: newKey() },
          body: {
            name,
            level,
            machines: chosen.flatMap((index) => {
              const one = practice.machines[index];
              return one ? [{ machine_id: one.id, exercise: one.exercise }] : [];
            }),
          },
        }),
      ),
    onSuccess: (page) => {
      queryClient.setQueryData(keys.practice, page);
      setName("");
      setChosen([]);
    },
  });
  return (
    <Section>
      <SectionTitle>{say("practicePage.give")}</SectionTitle>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          give.mutate();
        }}
      >
        <Fields>
          <Field
            label={say("practicePage.taskName")}
            value={name}
            onChange={setName}
            maxLength={80}
            autoComplete="off"
          />
          <Select
            label={say("practicePage.level")}
            options={practice.levels.map((one) => [one.name, one.title] as const)}
            value={level}
            onChange={setLevel}
          />
          <Machines role="group" aria-label={say("practicePage.over")}>
            {practice.machines.map((machine, index) => (
              <Tick
                key={`${machine.id}/${machine.exercise}`}
                isSelected={chosen.includes(index)}
                isDisabled={!chosen.includes(index) && chosen.length >= MOST_MACHINES}
                onChange={(on) => setChosen(on ? [...chosen, index] : chosen.filter((one) => one !== index))}
              >
                {machine.name}
              </Tick>
            ))}
          </Machines>
          {give.error ? <Notice tone="wrong">{refusal(give.error)?.message}</Notice> : null}
          <SecondaryButton type="submit" isDisabled={give.isPending || name.trim() === "" || chosen.length === 0}>
            {say("practicePage.giveIt")}
          </SecondaryButton>
        </Fields>
      </Form>
    </Section>
  );
}

function People({ people, locale }: { people: Practice["people"]; locale: string }) {
  const queryClient = useQueryClient();
  const look = useMutation({
    mutationFn: (account: number) =>
      unwrap(
        api.POST("/api/practice/people/{account}/look", { params: { path: { account }, header: newKey() }, body: {} }),
      ),
    onSuccess: (page) => queryClient.setQueryData(keys.practice, page),
  });
  const promote = useMutation({
    mutationFn: ({ id, version }: { id: number; version: number }) =>
      unwrap(
        api.PUT("/api/staff/{account}/role", {
          params: { path: { account: id }, header: newKey() },
          body: { role: "instructor", version },
        }),
      ),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: keys.practice }),
  });
  return (
    <Section>
      <SectionTitle>{say("practicePage.people")}</SectionTitle>
      {people.length === 0 ? <Empty>{say("practicePage.nobody")}</Empty> : null}
      {promote.error ? <Notice tone="wrong">{refusal(promote.error)?.message}</Notice> : null}
      <Rows>
        {people.map((person) => (
          <li key={person.id} style={{ padding: space(3) }}>
            <Head>
              <span>
                <Strong>{person.name}</Strong>{" "}
                {say("practicePage.did", { done: person.done, passed: person.passed, mean: person.mean })}
                <br />
                <Small>
                  {person.looked_by
                    ? say("practicePage.lookedBy", {
                        name: person.looked_by,
                        time: momentText(person.looked_at ?? "", locale),
                      })
                    : say("practicePage.notLooked")}
                </Small>
              </span>
              {person.me ? null : person.looked_by && person.role === "helper" ? (
                <SecondaryButton isDisabled={promote.isPending} onPress={() => promote.mutate(person)}>
                  {say("practicePage.makeInstructor")}
                </SecondaryButton>
              ) : (
                <QuietButton isDisabled={look.isPending} onPress={() => look.mutate(person.id)}>
                  {say("practicePage.lookedAt")}
                </QuietButton>
              )}
            </Head>
          </li>
        ))}
      </Rows>
    </Section>
  );
}
