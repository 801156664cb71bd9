// A link of one use, on the screen this once: to be scanned, or copied and sent.
import { useState } from "react";
import styled from "styled-components";
import type { StaffLink } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { CodeToScan } from "../../ui/CodeToScan";
import { Small } from "../../ui/Page";
import { colour, font, radius, space } from "../../ui/tokens";

const Sheet = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${space(5)};
  align-items: center;
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Words = styled.div`
  display: grid;
  gap: ${space(3)};
  justify-items: start;
`;
const Address = styled.code`
  font-family: ${font.mark};
  overflow-wrap: anywhere;
`;

export function LinkToGive({ link, name, locale }: { link: StaffLink; name: string; locale: string }) {
  const [copied, setCopied] = useState(false);
  return (
    <Sheet role="status">
      <CodeToScan rows={link.code} label={say("linkToGive.code", { name })} />
      <Words>
        <p>{link.ends_at ? say("linkToGive.says", { name }) : say("linkToGive.stays", { name })}</p>
        {link.emailed === null ? null : (
          <p>{link.emailed ? say("linkToGive.emailed") : say("linkToGive.notEmailed")}</p>
        )}
        <Address>{link.address}</Address>
        <SecondaryButton
          onPress={() =>
            void navigator.clipboard.writeText(link.address).then(
              () => setCopied(true),
              () => undefined,
            )
          }
        >
          {copied ? say("linkToGive.copied") : say("linkToGive.copy")}
        </SecondaryButton>
        {link.ends_at ? <Small>{say("linkToGive.until", { time: momentText(link.ends_at, locale) })}</Small> : null}
      </Words>
    </Sheet>
  );
}
