import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { Suspense } from "react";
import { Navigate } from "react-router";
import styled from "styled-components";
import { floorQuery, meQuery, refitsQuery } from "../../api/queries";
import type { Refit } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { momentText } from "../../lib/dates";
import { PrimaryLink, QuietLink } from "../../ui/LinkButton";
import { MarkTags } from "../../ui/MarkTag";
import { May } from "../shared/May";
import { Now } from "./Now";
import { Places } from "./Places";
import { RowLink } from "../shared/RowLink";
import { Empty, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { part } from "../../ui/part";
import { breakpoint, space } from "../../ui/tokens";
import { ClientFinder } from "../shared/ClientFinder";
import { Due } from "../shared/Due";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: ${space(8)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
/** Of a gym that has just begun. */
const Beginnings = part(() => import("./Beginnings").then(({ Beginnings }) => Beginnings));
/** Of those that are due: a line a client, the weightiest. */
const SHOWN = 4;
const firstOfEach = (due: readonly Refit[]) =>
  due.filter((one, index) => due.findIndex(({ client }) => client.id === one.client.id) === index);

export function FloorPage() {
  useTitle(say("floorPage.floor"));
  const floor = useQuery(floorQuery);
  const me = useQuery(meQuery);
  const refits = useQuery(refitsQuery);
  const locale = me.data?.gym.locale ?? "en-GB";
  // Whoever sees no floor begins with the people whom they were shown.
  if (me.data && !me.data.may.includes("floor")) return <Navigate to="/clients" replace />;
  return (
    <Page>
      <PageHead>
        <Title>{me.data?.gym.name ?? say("floorPage.floor")}</Title>
      </PageHead>
      <Columns>
        <div>
          <Section aria-label={say("floorPage.findLabel")}>
            <ClientFinder autoFocus />
            <May ask="addClient">
              <p style={{ marginTop: "1rem" }}>
                <PrimaryLink to="/clients/new">{say("floorPage.addLink")}</PrimaryLink>
              </p>
            </May>
          </Section>
          <May ask="beginnings">
            <Suspense fallback={null}>
              <Beginnings />
            </Suspense>
          </May>
          <Section>
            <SectionTitle>{say("floorPage.fittedLately")}</SectionTitle>
            {floor.data && floor.data.recent.length === 0 ? <Empty>{say("floorPage.emptyHint")}</Empty> : null}
            {floor.data && floor.data.recent.length > 0 ? (
              <Rows>
                {floor.data.recent.map((client) => (
                  <li key={client.id}>
                    <RowLink to={`/clients/${client.id}`}>
                      <span>
                        <Strong>{client.name}</Strong> <Small>{client.detail}</Small>
                      </span>
                      <Small>{momentText(client.fitted_at, locale)}</Small>
                    </RowLink>
                  </li>
                ))}
              </Rows>
            ) : null}
          </Section>
        </div>
        <div>
          {floor.data ? <Now floor={floor.data} locale={locale} /> : null}
          <Section>
            <SectionTitle>{say("floorPage.leftOpen")}</SectionTitle>
            {floor.data && floor.data.open.length === 0 ? <Empty>{say("floorPage.noneOpen")}</Empty> : null}
            {floor.data && floor.data.open.length > 0 ? (
              <Rows>
                {floor.data.open.map((fitting) => (
                  <li key={fitting.id}>
                    <RowLink to={`/fittings/${fitting.id}`}>
                      <span>
                        <Strong>{fitting.client.name}</Strong>
                        <br />
                        <Small>
                          {fitting.machine.name} · {fitting.by}, {momentText(fitting.updated_at, locale)}
                        </Small>
                      </span>
                      <MarkTags tags={fitting.marks} />
                    </RowLink>
                  </li>
                ))}
              </Rows>
            ) : null}
          </Section>
          {refits.data && refits.data.due.length > 0 ? (
            <Section>
              <SectionTitle>{say("floorPage.dueTitle")}</SectionTitle>
              <Rows data-refits>
                {firstOfEach(refits.data.due)
                  .slice(0, SHOWN)
                  .map((due) => (
                    <li key={due.fitting_id}>
                      <RowLink to={`/clients/${due.client.id}`}>
                        <Due due={due} locale={locale} most={1} />
                      </RowLink>
                    </li>
                  ))}
              </Rows>
              <QuietLink to="/refits">{say("floorPage.allOfThem", { count: refits.data.of })}</QuietLink>
            </Section>
          ) : null}
          {floor.data && floor.data.discarded.length > 0 ? (
            <Section>
              <SectionTitle>{say("floorPage.discardedTitle")}</SectionTitle>
              <Rows>
                {floor.data.discarded.map((line) => (
                  <li key={line.id}>
                    <RowLink to={`/fittings/${line.id}`}>
                      <span>
                        <Strong>{line.client.name}</Strong>
                        <br />
                        <Small>
                          {line.machine_name} · {line.by}, {momentText(line.updated_at, locale)}
                        </Small>
                      </span>
                      <Small>{say("floorPage.reopenable")}</Small>
                    </RowLink>
                  </li>
                ))}
              </Rows>
            </Section>
          ) : null}
        </div>
      </Columns>
      {floor.data ? <Places machines={floor.data.machines} /> : null}
    </Page>
  );
}
