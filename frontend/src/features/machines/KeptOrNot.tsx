// Below a form of what the gym owns: that it was kept, or why not and what a colleague kept in the meantime.
import { say } from "../../lib/say";
import styled from "styled-components";
import { Notice } from "../../ui/Notice";
import { Small } from "../../ui/Page";

const Whole = styled.div`
  grid-column: 1 / -1;
`;

type Props = { kept: boolean; problem: string | undefined; now: string | undefined };

export function KeptOrNot({ kept, problem, now }: Props) {
  if (problem)
    return (
      <Whole>
        <Notice tone="wrong">
          {problem}
          {now ? say("keptOrNot.conflict", { now }) : null}
        </Notice>
      </Whole>
    );
  return (
    <Whole role="status" hidden={!kept}>
      <Small>{say("keptOrNot.kept")}</Small>
    </Whole>
  );
}
