// Somebody new who is made up: on which machine, and how hard.
import { useState } from "react";
import type { Practice } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton } from "../../ui/Button";
import { Empty, Section, SectionTitle } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { Fields } from "./layout";
import type { Begin, Level } from "./useBegin";

export function NewRun({
  practice,
  busy,
  onBegin,
}: {
  practice: Practice;
  busy: boolean;
  onBegin: (body: Begin) => void;
}) {
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
