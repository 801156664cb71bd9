// Who did what, the latest first: every write, every opening of cautions, every paper that left. Whoever leads the gym reads it; nobody changes it.
import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { Fragment } from "react";
import { Link, useSearchParams } from "react-router";
import { refusal } from "../../api/client";
import { auditQuery, meQuery } from "../../api/queries";
import type { AuditEntry } from "../../api/types";
import { timeText } from "../../lib/dates";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Title } from "../../ui/Page";
import { Table } from "../../ui/Table";
import { useTitle } from "../../ui/useTitle";

export function AuditPage() {
  useTitle(say("auditPage.title"));
  const [query] = useSearchParams();
  const trail = useInfiniteQuery(auditQuery(query.get("of")));
  const me = useQuery(meQuery);
  if (trail.error)
    return (
      <Page>
        <PageHead>
          <Title>{say("auditPage.title")}</Title>
        </PageHead>
        <Notice tone="wrong">{refusal(trail.error)?.message ?? say("auditPage.couldNotBeOpened")}</Notice>
      </Page>
    );
  if (!trail.data || !me.data) return null;
  const entries = trail.data.pages.flatMap((page) => page.entries);
  return (
    <Page>
      <PageHead>
        <Title>{say("auditPage.title")}</Title>
        <Muted>{say("auditPage.onlyAddedTo")}</Muted>
      </PageHead>
      {entries.length === 0 ? (
        <Empty>{say("auditPage.nothingYet")}</Empty>
      ) : (
        <Table aria-label={say("auditPage.title")}>
          <thead>
            <tr>
              <th>{say("auditPage.when")}</th>
              <th>{say("auditPage.who")}</th>
              <th>{say("auditPage.what")}</th>
              <th>{say("auditPage.whomOrWhere")}</th>
            </tr>
          </thead>
          <tbody>
            {entries.map((entry) => (
              <tr key={entry.id}>
                <td>{timeText(entry.at, me.data.gym.locale)}</td>
                <td>{entry.by ?? say("auditPage.somebodyGone")}</td>
                <td>{entry.says}</td>
                <td>
                  <Subject entry={entry} />
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {trail.hasNextPage ? (
        <p style={{ marginTop: "1rem" }}>
          <SecondaryButton isDisabled={trail.isFetchingNextPage} onPress={() => void trail.fetchNextPage()}>
            {say("auditPage.older")}
          </SecondaryButton>
        </p>
      ) : null}
    </Page>
  );
}

function Subject({ entry }: { entry: AuditEntry }) {
  const links = [
    entry.client ? { to: `/clients/${entry.client.id}`, name: entry.client.name } : null,
    entry.machine ? { to: `/machines/${entry.machine.id}`, name: entry.machine.name } : null,
  ].filter((link) => link !== null);
  return links.map(({ to, name }, index) => (
    <Fragment key={to}>
      {index > 0 ? ", " : null}
      <Link to={to}>{name}</Link>
    </Fragment>
  ));
}
