import { say } from "../lib/say";
import type { ReactNode } from "react";
import { Dialog, Heading, Modal, ModalOverlay } from "react-aria-components";
import styled from "styled-components";
import { QuietButton } from "./Button";
import { colour, radius, size, space } from "./tokens";

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 20;
  display: flex;
  justify-content: center;
  align-items: flex-start;
  padding: 10vh ${space(4)} ${space(4)};
  background: ${colour.veil};
`;
const Panel = styled(Modal)`
  width: min(36rem, 100%);
  max-height: 80vh;
  overflow: auto;
  background: ${colour.panel};
  border-radius: ${radius};
`;
const Body = styled(Dialog)`
  padding: ${space(5)};
  outline: none;
`;
const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: ${space(4)};
  h2 {
    font-size: ${size.large};
  }
`;

type Props = { title: string; isOpen: boolean; onClose: () => void; children: ReactNode };

export function Dialogue({ title, isOpen, onClose, children }: Props) {
  return (
    <Veil isOpen={isOpen} onOpenChange={(open) => (open ? undefined : onClose())} isDismissable>
      <Panel>
        <Body>
          <Head>
            <Heading slot="title">{title}</Heading>
            <QuietButton onPress={onClose}>{say("dialogue.close")}</QuietButton>
          </Head>
          {children}
        </Body>
      </Panel>
    </Veil>
  );
}
