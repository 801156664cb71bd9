import type { ReactNode } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { PrimaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle } from "../../ui/Page";
import { colour, radius, space } from "../../ui/tokens";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  padding: ${space(5)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;

type Props = {
  title: string;
  /** What went wrong beside what stands at a field. */
  wrong: string | undefined;
  done: string | null;
  send: string;
  busy: boolean;
  onSend: () => void;
  children: ReactNode;
};

/** A form of one's own account: what it is for, its fields, what became of it. */
export function AccountForm({ title, wrong, done, send, busy, onSend, children }: Props) {
  return (
    <Section>
      <SectionTitle>{title}</SectionTitle>
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          onSend();
        }}
      >
        {wrong ? <Notice tone="wrong">{wrong}</Notice> : null}
        {done ? <Notice>{done}</Notice> : null}
        {children}
        <PrimaryButton type="submit" isDisabled={busy}>
          {send}
        </PrimaryButton>
      </Sheet>
    </Section>
  );
}
