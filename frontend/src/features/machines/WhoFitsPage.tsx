// Whom the gym's machines fit, joint action by joint action, and whom none of them does: what to buy next or to change.
import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { bestReadingQuery, whoFitsQuery } from "../../api/queries";
import type { WhoFits } from "../../api/types";
import { say } from "../../lib/say";
import { BandName, BandShape, SEVERITY_BANDS } from "../../ui/Band";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { PrintPage } from "../../ui/PrintPage";
import { Select } from "../../ui/Select";
import { breakpoint, colour, font, size, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(10rem, 3fr) minmax(0, 6fr) 7rem;
  gap: ${space(2)} ${space(4)};
  align-items: center;
  padding: ${space(3)} ${space(4)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
/** A box a person, so that shares of few people are seen for what they are. */
const People = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: 3px;
  align-items: center;
`;
const Count = styled.span`
  font-family: ${font.mark};
  font-size: ${size.large};
  font-weight: ${font.strong};
  color: ${colour.ink};
  text-align: right;
`;
const Key = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(4)};
  margin: ${space(4)} 0;
`;
const DOT = 12;

export function WhoFitsPage() {
  useTitle(say("whoFitsPage.title"));
  const [query, setQuery] = useSearchParams();
  const found = useQuery(whoFitsQuery(query.get("action")));
  const action = found.data?.actions.find(({ name }) => name === found.data.action)?.title;
  return (
    <Page>
      <PageHead>
        <Title>{action ? say("whoFitsPage.titleOf", { action }) : say("whoFitsPage.title")}</Title>
        {found.data?.action ? (
          <Select
            label={say("whoFitsPage.action")}
            hiddenLabel
            options={found.data.actions.map(({ name, title }) => [name, title] as const)}
            value={found.data.action}
            onChange={(action) => setQuery({ action }, { replace: true })}
          />
        ) : null}
        <PrintPage />
      </PageHead>
      {found.error ? <Notice tone="wrong">{refusal(found.error)?.message}</Notice> : null}
      {found.isPending ? <Empty>{say("whoFits.trying")}</Empty> : null}
      {found.data ? <Found found={found.data} /> : null}
      {found.data ? <BestReading /> : null}
    </Page>
  );
}

function Found({ found }: { found: WhoFits }) {
  const { machines, nobody, asked, of } = found;
  if (machines.length === 0) return <Empty>{say("whoFitsPage.none")}</Empty>;
  return (
    <>
      <Muted>
        {asked === of ? say("whoFits.basisAll", { of }) : say("whoFits.basisSample", { count: asked, of })}{" "}
        {say("whoFitsPage.withoutCautions")}
      </Muted>
      <Key>
        {SEVERITY_BANDS.map((band) => (
          <BandName key={band} band={band} />
        ))}
      </Key>
      <Rows>
        {machines.map((machine) => (
          <Row key={`${machine.machine_id} ${machine.exercise}`} data-who-fits={machine.name}>
            <Link to={`/machines/${machine.machine_id}`}>
              <Strong>{machine.name}</Strong>
              {machine.considered ? <Small> {say("needs.considered")}</Small> : null}
            </Link>
            <People aria-hidden>
              {machine.bands.flatMap(({ band, people }) =>
                band === null
                  ? []
                  : Array.from({ length: people }, (_, index) => (
                      <BandShape key={`${band} ${index}`} band={band} diameter={DOT} />
                    )),
              )}
            </People>
            <Count>{say("whoFitsPage.fit", { count: machine.fit, of: asked })}</Count>
          </Row>
        ))}
      </Rows>
      <Section aria-labelledby="nobody" style={{ marginTop: space(6) }}>
        <SectionTitle id="nobody">{say("whoFitsPage.nobody")}</SectionTitle>
        {nobody.length === 0 ? (
          <Empty>{say("whoFitsPage.everybody")}</Empty>
        ) : (
          <Rows>
            {nobody.map(({ id, name, detail }) => (
              <li key={id} style={{ padding: `${space(3)} ${space(4)}` }}>
                <Link to={`/clients/${id}`}>
                  <Strong>{name}</Strong>
                </Link>{" "}
                <Small>{detail}</Small>
              </li>
            ))}
          </Rows>
        )}
      </Section>
    </>
  );
}

function BestReading() {
  const found = useQuery(bestReadingQuery);
  if (!found.data) return null;
  const { lengths, asked } = found.data;
  return (
    <Section aria-labelledby="reading" style={{ marginTop: space(6) }}>
      <SectionTitle id="reading">{say("whoFitsPage.reading")}</SectionTitle>
      {lengths.length === 0 ? (
        <Empty>{say("whoFitsPage.readEnough")}</Empty>
      ) : (
        <Rows>
          {lengths.map(({ observation, title, people }) => (
            <li
              key={observation}
              style={{ display: "flex", justifyContent: "space-between", padding: `${space(3)} ${space(4)}` }}
            >
              <Strong>{title}</Strong>
              <span>{say("whoFitsPage.helps", { count: people, of: asked })}</span>
            </li>
          ))}
        </Rows>
      )}
    </Section>
  );
}
