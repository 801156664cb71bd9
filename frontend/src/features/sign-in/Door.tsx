import type { ReactNode } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { PrimaryButton } from "../../ui/Button";
import { Logo } from "../../ui/Logo";
import { Notice } from "../../ui/Notice";
import { colour, radius, size, space } from "../../ui/tokens";

const Ground = styled.main`
  min-height: 100vh;
  display: grid;
  place-items: center;
  padding: ${space(4)};
  background: ${colour.rail};
`;
const Panel = styled(Form)`
  width: min(28rem, 100%);
  display: grid;
  gap: ${space(4)};
  padding: ${space(8)};
  border-radius: ${radius};
  background: ${colour.panel};
  h1 {
    font-size: ${size.title};
  }
`;
const Head = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
  margin-bottom: ${space(2)};
`;
const Badge = styled.span`
  align-self: flex-start;
  padding: ${space(3)};
  border-radius: ${radius};
  background: ${colour.rail};
  line-height: 0;
`;

type Props = {
  title: string;
  /** What went wrong beside what stands at a field. */
  wrong: string | undefined;
  /** What the button says; null where there is nothing to send. */
  send: string | null;
  busy: boolean;
  onSend: () => void;
  children: ReactNode;
};

/** A page for whoever is not signed in: what it is, a form, one button. */
export function Door({ title, wrong, send, busy, onSend, children }: Props) {
  return (
    <Ground>
      <Panel
        onSubmit={(event) => {
          event.preventDefault();
          onSend();
        }}
      >
        <Head>
          <Badge>
            <Logo width={52} />
          </Badge>
          <h1>{title}</h1>
        </Head>
        {wrong ? <Notice tone="wrong">{wrong}</Notice> : null}
        {children}
        {send ? (
          <PrimaryButton type="submit" isDisabled={busy}>
            {send}
          </PrimaryButton>
        ) : null}
      </Panel>
    </Ground>
  );
}
