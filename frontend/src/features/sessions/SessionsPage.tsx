// Sessions: who is at work, a plan for somebody, groups that rotate, and the lists of exercises that plans are made from.
import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import styled from "styled-components";
import { circlesQuery, meQuery, programmesQuery, sessionsQuery } from "../../api/queries";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { SecondaryLink } from "../../ui/LinkButton";
import { Columns, Empty, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { RowLink } from "../shared/RowLink";
import { ClientPicker } from "../shared/ClientPicker";
import { May } from "../shared/May";

const Below = styled.p`
  margin-top: ${space(3)};
`;

export function SessionsPage() {
  useTitle(say("sessionsPage.title"));
  const navigate = useNavigate();
  const me = useQuery(meQuery);
  const locale = me.data?.gym.locale ?? "en-GB";
  return (
    <Page>
      <PageHead>
        <Title>{say("sessionsPage.title")}</Title>
      </PageHead>
      <Columns>
        <div>
          <Section aria-label={say("sessionsPage.planFor")}>
            <ClientPicker
              label={say("sessionsPage.planFor")}
              onPick={(id) => void navigate(`/clients/${id}/session`)}
            />
          </Section>
          <AtWork locale={locale} />
        </div>
        <div>
          <Groups locale={locale} />
          <ProgrammeList />
        </div>
      </Columns>
    </Page>
  );
}

function AtWork({ locale }: { locale: string }) {
  const sessions = useQuery(sessionsQuery);
  return (
    <Section>
      <SectionTitle>{say("sessionsPage.atWork")}</SectionTitle>
      {sessions.data?.sessions.length === 0 ? <Empty>{say("sessionsPage.nobody")}</Empty> : null}
      {sessions.data && sessions.data.sessions.length > 0 ? (
        <Rows aria-label={say("sessionsPage.atWork")}>
          {sessions.data.sessions.map((one) => (
            <li key={one.id}>
              <RowLink to={`/sessions/${one.id}`}>
                <Strong>{one.client.name}</Strong>
                <Small>
                  {one.state === "running"
                    ? say("sessionsPage.since", { minutes: one.minutes, at: momentText(one.begun_at, locale) })
                    : say("sessionsPage.planned", { minutes: one.minutes, at: momentText(one.updated_at, locale) })}
                </Small>
              </RowLink>
            </li>
          ))}
        </Rows>
      ) : null}
    </Section>
  );
}

function Groups({ locale }: { locale: string }) {
  const circles = useQuery(circlesQuery);
  return (
    <Section>
      <SectionTitle>{say("sessionsPage.groups")}</SectionTitle>
      {circles.data?.circles.length === 0 ? <Empty>{say("sessionsPage.noGroups")}</Empty> : null}
      {circles.data && circles.data.circles.length > 0 ? (
        <Rows aria-label={say("sessionsPage.groups")}>
          {circles.data.circles.map((one) => (
            <li key={one.id}>
              <RowLink to={`/sessions/groups/${one.id}`}>
                <Strong>{one.name}</Strong>
                <Small>
                  {say("sessionsPage.groupOf", { people: one.people, stations: one.stations })}{" "}
                  {one.round > 0
                    ? say("sessionsPage.inRound", { round: one.round })
                    : momentText(one.updated_at, locale)}
                </Small>
              </RowLink>
            </li>
          ))}
        </Rows>
      ) : null}
      <May ask="gatherCircle">
        <Below>
          <SecondaryLink to="/sessions/groups/new">{say("sessionsPage.newGroup")}</SecondaryLink>
        </Below>
      </May>
    </Section>
  );
}

function ProgrammeList() {
  const programmes = useQuery(programmesQuery());
  return (
    <Section>
      <SectionTitle>{say("sessionsPage.programmes")}</SectionTitle>
      {programmes.data?.programmes.length === 0 ? <Empty>{say("sessionsPage.noProgrammes")}</Empty> : null}
      {programmes.data && programmes.data.programmes.length > 0 ? (
        <Rows aria-label={say("sessionsPage.programmes")}>
          {programmes.data.programmes.map((one) => (
            <li key={one.id}>
              <RowLink to={`/sessions/programmes/${one.id}`}>
                <Strong>{one.name}</Strong>
                <Small>{one.days.map(({ name }) => name).join(", ")}</Small>
              </RowLink>
            </li>
          ))}
        </Rows>
      ) : null}
      <May ask="addProgramme">
        <Below>
          <Link to="/sessions/programmes/new">{say("sessionsPage.newProgramme")}</Link>
        </Below>
      </May>
    </Section>
  );
}
