import { say } from "../../lib/say";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, useLocation, useParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { clientQuery, meQuery, sessionPlanQuery, sessionsQuery } from "../../api/queries";
import type { ClientPage as ClientPageData, Operation } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { BodyFigure } from "../../scene/BodyFigure";
import { dayText, momentText } from "../../lib/dates";
import { PrimaryLink, QuietLink, SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Section, SectionTitle, Small, Title } from "../../ui/Page";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { Discarded } from "../shared/Discarded";
import { USUAL_MINUTES, wishing } from "../../model/wishes";
import { May } from "../shared/May";
import { CautionLines } from "../shared/CautionLines";
import { Card } from "./Card";
import { ClientChoices } from "./ClientChoices";
import { History } from "./History";
import { OwnCardLinks } from "./OwnCardLinks";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(17rem, 4fr) minmax(0, 7fr);
  gap: ${space(7)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Panel = styled.div`
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
/** On a narrow screen the card comes first. */
const BodySection = styled(Section)`
  @media ${breakpoint.narrow} {
    order: 2;
  }
`;
const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-top: ${space(3)};
`;
/** What else is known of a client, each a page of its own. */
const PARTS: readonly (readonly [part: string, ask: Operation, title: string])[] = [
  ["details", "correctClient", say("clientPage.correct")],
  ["cautions", "cautions", say("clientPage.cautions")],
  ["limits", "limits", say("clientPage.limits")],
  ["rules", "clientRules", say("clientPage.houseRules")],
];

export function ClientPage() {
  const { id = "" } = useParams();
  const page = useQuery(clientQuery(id));
  const me = useQuery(meQuery);
  const { discarded, learned } = (useLocation().state ?? {}) as {
    discarded?: { id: string; version: number };
    learned?: readonly string[];
  };
  useTitle(page.data?.client.name ?? say("clientPage.client"));
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message ?? say("clientPage.failed")}</Notice>
      </Page>
    );
  if (!page.data || !me.data) return null;
  const { client, observations } = page.data;
  const read = observations.filter((observation) => observation.reading);
  const locale = me.data.gym.locale;
  return (
    <Page>
      <PageHead>
        <Title>{client.name}</Title>
        <Muted>
          {[
            client.detail,
            client.sex,
            client.body_mass_kg ? `${client.body_mass_kg} kg` : null,
            page.data.choices.away_since ? say("clientPage.away") : null,
            client.birth_date ? say("clientPage.bornDay", { day: dayText(client.birth_date, locale) }) : null,
          ]
            .filter(Boolean)
            .join(" · ")}
        </Muted>
        <May ask="planSession">
          <SessionLink id={id} />
        </May>
        {PARTS.map(([part, ask, title]) => (
          <May key={part} ask={ask}>
            <QuietLink to={`/clients/${id}/${part}`}>{title}</QuietLink>
          </May>
        ))}
      </PageHead>
      {discarded ? <Discarded {...discarded}>{say("clientPage.discardedNotice")}</Discarded> : null}
      {learned && learned.length > 0 ? (
        <div style={{ marginBottom: "1.5rem" }} data-learned>
          <Notice>
            {say("clientPage.accepted")} {learned.join(" ")}
          </Notice>
        </div>
      ) : null}
      {page.data.discarded
        .filter(({ id: one }) => one !== discarded?.id)
        .map((line) => (
          <Discarded key={line.id} id={line.id} version={line.version}>
            {line.machine_name}: {line.by} {say("clientPage.discardedBy")} {momentText(line.updated_at, locale)}.
          </Discarded>
        ))}
      {page.data.asked.due ? (
        <div style={{ marginBottom: "1.5rem" }}>
          <Notice tone={page.data.asked.day ? "calm" : "wrong"}>
            {page.data.asked.day ? say("clientPage.askAgain") : say("clientPage.notAskedYet")}{" "}
            <May ask="askCautions">
              <Link to={`/clients/${id}/cautions`}>{say("clientPage.askLink")}</Link>
            </May>
          </Notice>
        </div>
      ) : null}
      {page.data.cautions.length > 0 ? (
        <div style={{ marginBottom: "1.5rem" }}>
          <CautionLines cautions={page.data.cautions} />
        </div>
      ) : null}
      {page.data.own_rules.length > 0 ? (
        <p style={{ marginBottom: "1.5rem" }}>
          <Small>
            {say("clientPage.ownRules")} {page.data.own_rules.join("; ").toLowerCase()}.
          </Small>
        </p>
      ) : null}
      <Columns>
        <BodySection>
          <SectionTitle>{say("clientPage.body")}</SectionTitle>
          <Panel>
            <BodyFigure body={page.data.body} unit={me.data.length_unit} />
            <p>
              <Small>
                {read.length > 0
                  ? say("clientPage.figureTaped", {
                      read: read.map((observation) => observation.title.toLowerCase()).join(", "),
                    })
                  : page.data.learned.length > 0
                    ? say("clientPage.figureLearned")
                    : say("clientPage.figureEstimated")}
              </Small>
            </p>
            {page.data.learned.length > 0 ? (
              <p>
                <Small>
                  {say("clientPage.learnedFrom")}{" "}
                  {page.data.learned.map((learned, index) => (
                    <span key={learned.fitting_id}>
                      {index > 0 ? ", " : ""}
                      <Link to={`/fittings/${learned.fitting_id}`}>{learned.machine}</Link>
                    </span>
                  ))}
                  {say("clientPage.seenWhere")}
                </Small>
              </p>
            ) : null}
            <May ask="putReading">
              <Actions>
                <NextTape page={page.data} id={id} />
              </Actions>
            </May>
          </Panel>
        </BodySection>
        <div>
          <May ask="predictions">
            <Card page={page.data} id={id} locale={locale} />
          </May>
          <May ask="clientLinks">
            <OwnCardLinks id={id} name={client.name} locale={locale} />
          </May>
          <May ask="putClientChoices">
            <ClientChoices page={page.data} locale={locale} />
          </May>
          <History page={page.data} locale={locale} />
        </div>
      </Columns>
    </Page>
  );
}

/** A plan that is pointed at is kept for whoever presses. */
const POINTED_AT_MS = 10_000;

/** To the one that runs, where one does; a new one is planned while the finger still comes down. */
function SessionLink({ id }: { id: string }) {
  const sessions = useQuery(sessionsQuery);
  const running = sessions.data?.sessions.find(({ client, state }) => client.id === id && state === "running");
  const queries = useQueryClient();
  const pointedAt = () =>
    running
      ? undefined
      : void queries.prefetchQuery({ ...sessionPlanQuery(id, wishing(USUAL_MINUTES)), gcTime: POINTED_AT_MS });
  const [To, place] = running
    ? ([PrimaryLink, `/sessions/${running.id}`] as const)
    : ([SecondaryLink, `/clients/${id}/session`] as const);
  return (
    <To to={place} style={{ marginLeft: "auto", order: 1 }} onPointerEnter={pointedAt} onFocus={pointedAt}>
      {running ? say("clientPage.goOn") : say("clientPage.session")}
    </To>
  );
}

function NextTape({ page, id }: { page: ClientPageData; id: string }) {
  const next = page.observations.find((observation) => observation.name === page.next);
  const untaped = page.observations.every((observation) => !observation.reading);
  if (untaped) return <PrimaryLink to={`/clients/${id}/tape`}>{say("clientPage.tapeLink")}</PrimaryLink>;
  return (
    <SecondaryLink to={`/clients/${id}/tape`}>
      {next ? say("clientPage.tapeNext", { title: next.title.toLowerCase() }) : say("clientPage.tape")}
    </SecondaryLink>
  );
}
