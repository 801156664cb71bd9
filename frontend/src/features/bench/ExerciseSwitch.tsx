// On a station: which exercise the bench shows, with the way to the others. One seat serves them all.
import { say } from "../../lib/say";
import { Button } from "react-aria-components";
import styled from "styled-components";
import { refusal } from "../../api/client";
import type { FittingPage } from "../../api/types";
import { Notice } from "../../ui/Notice";
import { colour, font, radius, space, target } from "../../ui/tokens";
import { useOpenFitting } from "../shared/useOpenFitting";

const Row = styled.div`
  display: inline-flex;
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
`;
const Exercise = styled(Button)`
  min-height: ${target.least};
  padding: 0 ${space(4)};
  border: 0;
  background: ${colour.panel};
  cursor: pointer;
  & + & {
    border-left: 1px solid ${colour.line};
  }
  &[data-hovered] {
    background: ${colour.actionQuiet};
  }
  &[aria-pressed="true"] {
    background: ${colour.action};
    color: ${colour.actionInk};
    font-weight: ${font.strong};
  }
`;

export function ExerciseSwitch({ fitting, busy }: { fitting: FittingPage; busy: boolean }) {
  const opening = useOpenFitting(fitting.client.id);
  if (!fitting.station) return null;
  return (
    <>
      <Row role="group" aria-label={say("exerciseSwitch.exercise")}>
        {fitting.station.exercises.map((exercise) => (
          <Exercise
            key={exercise.name}
            aria-pressed={exercise.active}
            isDisabled={busy || opening.isPending}
            onPress={() => {
              if (exercise.active) return;
              opening.mutate({ machineId: fitting.machine.id, exercise: exercise.name });
            }}
          >
            {exercise.title}
          </Exercise>
        ))}
      </Row>
      {opening.error ? <Notice tone="wrong">{refusal(opening.error)?.message}</Notice> : null}
    </>
  );
}
