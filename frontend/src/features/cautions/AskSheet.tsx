// Every caution, asked in one go, in the order of the table: what is answered with yes is ticked, or "none of these".
import { say } from "../../lib/say";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { refusal } from "../../api/client";
import type { Cautions } from "../../api/types";
import { PrimaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Small } from "../../ui/Page";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { Tick } from "../../ui/Tick";

const Sheet = styled(Form)`
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Questions = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  column-gap: ${space(6)};
  margin: ${space(3)} 0;
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const None = styled.div`
  margin-bottom: ${space(3)};
  padding-top: ${space(2)};
  border-top: 1px solid ${colour.line};
`;

type Props = {
  kinds: Cautions["kinds"];
  /** names of those that stand already */
  standing: readonly string[];
  busy: boolean;
  thrown: unknown;
  onAnswered: (seen: string[], none: boolean) => void;
};

export function AskSheet({ kinds, standing, busy, thrown, onAnswered }: Props) {
  const [seen, setSeen] = useState<readonly string[]>(standing);
  const [none, setNone] = useState(false);
  const error = refusal(thrown);
  const tick = (name: string, ticked: boolean) => {
    setNone(false);
    setSeen(ticked ? [...seen, name] : seen.filter((one) => one !== name));
  };
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        onAnswered([...seen], none);
      }}
    >
      {error ? <Notice tone="wrong">{error.message}</Notice> : null}
      <p>{say("askSheet.isThereAny")}</p>
      <Questions role="group" aria-label={say("askSheet.questions")}>
        {kinds
          .filter(({ asked }) => asked)
          .map(({ name, title }) => (
            <Tick
              key={name}
              isSelected={seen.includes(name)}
              isDisabled={standing.includes(name)}
              onChange={(ticked) => tick(name, ticked)}
            >
              {title}
            </Tick>
          ))}
      </Questions>
      <None>
        <Tick isSelected={none} isDisabled={seen.length > 0} onChange={setNone}>
          {say("askSheet.noneTick")}
        </Tick>
      </None>
      <PrimaryButton type="submit" isDisabled={busy || (seen.length === 0 && !none)}>
        {say("askSheet.keep")}
      </PrimaryButton>{" "}
      <Small>{say("askSheet.clearedComesAfter")}</Small>
    </Sheet>
  );
}
