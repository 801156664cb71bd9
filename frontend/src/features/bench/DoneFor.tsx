// What the exercise is done for, where its family serves more than one thing: each is an exercise with its own log.
import { say } from "../../lib/say";
import { useState } from "react";
import styled from "styled-components";
import { refusal } from "../../api/client";
import type { FittingPage } from "../../api/types";
import { SecondaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Notice } from "../../ui/Notice";
import { Muted } from "../../ui/Page";
import { colour, font, space } from "../../ui/tokens";
import { useOpenFitting } from "../shared/useOpenFitting";

const Choices = styled.ul`
  display: grid;
  gap: ${space(4)};
  margin-top: ${space(3)};
  li {
    display: grid;
    grid-template-columns: 8rem 1fr;
    gap: ${space(4)};
    align-items: start;
  }
`;
const Choice = styled(SecondaryButton)`
  justify-content: flex-start;
  min-height: 56px;
  &[aria-pressed="true"] {
    background: ${colour.action};
    color: ${colour.actionInk};
    font-weight: ${font.strong};
  }
`;

type Emphasis = FittingPage["emphases"][number];

export function DoneFor({ fitting, busy }: { fitting: FittingPage; busy: boolean }) {
  const [open, setOpen] = useState(false);
  const opening = useOpenFitting(fitting.client.id);
  const now = fitting.emphases.find(({ active }) => active);
  if (!now) return null;
  const choose = ({ name, active }: Emphasis) => {
    if (active) setOpen(false);
    else opening.mutate({ machineId: fitting.machine.id, exercise: name });
  };
  return (
    <>
      <SecondaryButton isDisabled={busy} onPress={() => setOpen(true)}>
        {say("doneFor.for")}: {now.title}
      </SecondaryButton>
      <Dialogue title={say("doneFor.title")} isOpen={open} onClose={() => setOpen(false)}>
        <Muted>{say("doneFor.apart")}</Muted>
        {opening.error ? <Notice tone="wrong">{refusal(opening.error)?.message}</Notice> : null}
        <Choices>
          {fitting.emphases.map((one) => (
            <li key={one.name}>
              <Choice
                aria-pressed={one.active}
                isDisabled={one.closed.length > 0 || opening.isPending}
                onPress={() => choose(one)}
              >
                {one.title}
              </Choice>
              <div>
                {one.closed.map((why) => (
                  <p key={why}>{why}</p>
                ))}
                {one.feet ? <p>{one.feet}</p> : null}
                {one.known ? <p>{one.known}</p> : null}
                {one.said ? <Muted>{one.said}</Muted> : null}
              </div>
            </li>
          ))}
        </Choices>
      </Dialogue>
    </>
  );
}
