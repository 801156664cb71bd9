// What the gym owns, kept as one list: fields beside one another, and below them that it was kept, or why not and what a
// colleague kept in the meantime.
import type { ReactNode } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { refusal, standing } from "../../api/client";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Small } from "../../ui/Page";
import { colour, radius, space } from "../../ui/tokens";

const Sheet = styled(Form)`
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 19rem), 1fr));
  gap: ${space(4)};
  align-items: start;
  margin-bottom: ${space(4)};
`;
const Below = styled.div`
  margin-top: ${space(3)};
`;

type Props<Whole> = {
  keep: { isPending: boolean; isSuccess: boolean; error: unknown };
  /** A list in words, as a colleague kept it. */
  inWords: (whole: Whole) => string;
  onSubmit: () => void;
  children: ReactNode;
};

export function OwnedForm<Whole>({ keep, inWords, onSubmit, children }: Props<Whole>) {
  const theirs = standing<Whole>(keep.error);
  const problem = refusal(keep.error)?.message;
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit();
      }}
    >
      <Fields>{children}</Fields>
      <SecondaryButton type="submit" isDisabled={keep.isPending}>
        {say("ownedForm.keep")}
      </SecondaryButton>
      {problem ? (
        <Below>
          <Notice tone="wrong">
            {problem}
            {theirs ? say("ownedForm.conflict", { now: inWords(theirs) }) : null}
          </Notice>
        </Below>
      ) : (
        <Below role="status" hidden={!keep.isSuccess}>
          <Small>{say("ownedForm.kept")}</Small>
        </Below>
      )}
    </Sheet>
  );
}
