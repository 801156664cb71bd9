// Ten that are the same for everybody.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import styled from "styled-components";
import { api, newKey, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import type { Practice } from "../../api/types";
import { say } from "../../lib/say";
import { QuietButton, SecondaryButton } from "../../ui/Button";
import { Small, Strong } from "../../ui/Page";
import { colour, font, radius, space, target } from "../../ui/tokens";
import { May } from "../shared/May";
import { Head } from "./layout";
import type { Begin } from "./useBegin";

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

export function GivenTask({ task, onBegin }: { task: Practice["tasks"][number]; onBegin: (body: Begin) => void }) {
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
