import { say } from "../../lib/say";
import { useInfiniteQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { searchAllQuery } from "../../api/queries";
import { useTitle } from "../../ui/useTitle";
import { SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { PrimaryLink, SecondaryLink } from "../../ui/LinkButton";
import { Empty, Page, PageHead, Rows, Small, Strong, Title } from "../../ui/Page";
import { colour, space } from "../../ui/tokens";
import { May } from "../shared/May";

const RowLink = styled(Link)`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: ${space(4)};
  min-height: 52px;
  padding: ${space(2)} ${space(4)};
  color: ${colour.ink};
  text-decoration: none;
  &:hover {
    background: ${colour.actionQuiet};
  }
`;
const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${space(4)};
  margin-bottom: ${space(4)};
  > :first-child {
    flex: 1 1 20rem;
  }
`;

export function ClientsPage() {
  useTitle(say("clientsPage.clients"));
  const [text, setText] = useState("");
  const pages = useInfiniteQuery(searchAllQuery(text.trim()));
  const clients = pages.data?.pages.flatMap((page) => page.clients) ?? [];
  return (
    <Page>
      <PageHead>
        <Title>{say("clientsPage.clients")}</Title>
      </PageHead>
      <Tools>
        <Field label={say("clientsPage.searchLabel")} value={text} onChange={setText} autoComplete="off" />
        <May ask="addClient">
          <PrimaryLink to="/clients/new">{say("clientsPage.add")}</PrimaryLink>
        </May>
        <May ask="board">
          <SecondaryLink to="/board">{say("clientsPage.board")}</SecondaryLink>
        </May>
      </Tools>
      {pages.isSuccess && clients.length === 0 ? <Empty>{say("clientsPage.nobody")}</Empty> : null}
      {clients.length > 0 ? (
        <Rows>
          {clients.map((client) => (
            <li key={client.id}>
              <RowLink to={`/clients/${client.id}`}>
                <Strong>{client.name}</Strong>
                <Small>{client.detail}</Small>
              </RowLink>
            </li>
          ))}
        </Rows>
      ) : null}
      {pages.hasNextPage ? (
        <p style={{ marginTop: "1rem" }}>
          <SecondaryButton onPress={() => void pages.fetchNextPage()}>{say("clientsPage.more")}</SecondaryButton>
        </p>
      ) : null}
    </Page>
  );
}
