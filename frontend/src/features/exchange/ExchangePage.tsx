// A gym's data out, as tables and as one archive, and files on their way in. For whoever leads the gym.
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import { meQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { breakpoint, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { Incoming } from "./Incoming";
import { Outgoing } from "./Outgoing";

const Columns = styled.div`
  display: grid;
  grid-template-columns: 22rem minmax(0, 1fr);
  gap: ${space(8)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const LEAD = "lead";

export function ExchangePage() {
  useTitle(say("exchange.title"));
  const me = useQuery(meQuery);
  if (!me.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>{say("exchange.title")}</Title>
        <Muted>{say("exchange.whatItIs")}</Muted>
      </PageHead>
      {me.data.role === LEAD ? (
        <Columns>
          <Outgoing />
          <Incoming />
        </Columns>
      ) : (
        <Notice>{say("exchange.onlyALead")}</Notice>
      )}
    </Page>
  );
}
