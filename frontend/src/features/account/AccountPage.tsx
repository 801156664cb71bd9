// One's own account: a PIN for shared tablets, the password, and where one is signed in.
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import { meQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { breakpoint, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { PasswordSheet } from "./PasswordSheet";
import { PinSheet } from "./PinSheet";
import { SignedIn } from "./SignedIn";

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: ${space(6)};
  align-items: start;
  margin-bottom: ${space(7)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
  && > section + section {
    margin-top: 0;
  }
`;

export function AccountPage() {
  useTitle(say("accountPage.title"));
  const me = useQuery(meQuery);
  if (!me.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>{say("accountPage.title")}</Title>
        <Muted>{say("accountPage.at", { name: me.data.name, gym: me.data.gym.name })}</Muted>
      </PageHead>
      <Columns>
        <PinSheet />
        <PasswordSheet />
      </Columns>
      <SignedIn locale={me.data.gym.locale} />
    </Page>
  );
}
