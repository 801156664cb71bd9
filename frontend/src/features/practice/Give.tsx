// The same ten for everybody: whoever leads the gym names the machines and how hard they are.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import type { Practice } from "../../api/types";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { Fields } from "./layout";
import type { Level } from "./useBegin";

const MOST_MACHINES = 10;
const Machines = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
  width: 100%;
`;

export function Give({ practice }: { practice: Practice }) {
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
