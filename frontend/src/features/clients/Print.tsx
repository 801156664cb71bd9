// The card to be carried: one machine a card, the whole floor on a sheet, or text to be pasted.
import { useState } from "react";
import styled from "styled-components";
import { say } from "../../lib/say";
import { QuietButton, quiet } from "../../ui/Button";
import { space } from "../../ui/tokens";

const Ways = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${space(2)};
  margin-bottom: ${space(3)};
  @media print {
    display: none;
  }
`;
const Paper = styled.a`
  ${quiet}
`;

type State = "ready" | "copied" | "failed";

export function Print({ id }: { id: string }) {
  const [state, setState] = useState<State>("ready");
  const copy = async () => {
    const answer = await fetch(`/api/clients/${id}/card.txt`).catch(() => null);
    const text = answer?.ok ? await answer.text() : null;
    const done =
      text !== null &&
      (await navigator.clipboard
        .writeText(text)
        .then(() => true)
        .catch(() => false));
    setState(done ? "copied" : "failed");
  };
  return (
    <Ways>
      <Paper href={`/api/clients/${id}/card.pdf?paper=a6`} target="_blank" rel="noreferrer">
        {say("print.cards")}
      </Paper>
      <Paper href={`/api/clients/${id}/card.pdf?paper=a4`} target="_blank" rel="noreferrer">
        {say("print.sheet")}
      </Paper>
      <QuietButton onPress={() => void copy()}>{say("print.copy")}</QuietButton>
      <span role="status">
        {state === "copied" ? say("print.copied") : state === "failed" ? say("print.notCopied") : ""}
      </span>
    </Ways>
  );
}
