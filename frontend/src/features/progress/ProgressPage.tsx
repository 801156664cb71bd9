// A client's visits on a machine: the line with what changed on it, the table behind it, where they stand and what comes next.
import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { meQuery, progressQuery } from "../../api/queries";
import type { Progress, Visited } from "../../api/types";
import { dayText, momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { VisitLine } from "../../scene/VisitLine";
import { BandShape } from "../../ui/Band";
import { SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { Table } from "../../ui/Table";
import { colour, font, radius, space } from "../../ui/tokens";
import { SetReview } from "../shared/movement/SetReview";
import { useTitle } from "../../ui/useTitle";

const Plot = styled.div`
  margin-bottom: ${space(6)};
  padding: ${space(3)} ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Rungs = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-bottom: ${space(2)};
  li {
    padding: ${space(2)} ${space(4)};
    border: 1px solid ${colour.line};
    border-radius: ${radius};
    background: ${colour.panel};
    color: ${colour.inkMuted};
  }
  li[aria-current] {
    border: 2px solid ${colour.action};
    background: ${colour.actionQuiet};
    color: ${colour.ink};
    font-weight: ${font.strong};
  }
`;

/** How a visit went, in a word and the same three shapes as everywhere. */
export const OUTCOME: Record<Visited["outcome"], { says: string; band: "in line" | "close" | "off" }> = {
  easy: { says: say("progressPage.easy"), band: "in line" },
  clean: { says: say("progressPage.clean"), band: "in line" },
  unsaid: { says: say("progressPage.unsaid"), band: "close" },
  not_reached: { says: say("progressPage.notReached"), band: "close" },
  short: { says: say("progressPage.short"), band: "off" },
  sign: { says: say("progressPage.sign"), band: "off" },
  joint: { says: say("progressPage.joint"), band: "off" },
};

export function ProgressPage() {
  const { id = "" } = useParams();
  const progress = useQuery(progressQuery(id));
  const me = useQuery(meQuery);
  useTitle(progress.data ? `${progress.data.client.name}, ${progress.data.machine.name}` : say("progressPage.visits"));
  if (progress.error)
    return (
      <Page>
        <PageHead>
          <Title>{say("progressPage.visits")}</Title>
        </PageHead>
        <Notice tone="wrong">{refusal(progress.error)?.message ?? say("progressPage.couldNotBeOpened")}</Notice>
      </Page>
    );
  if (!progress.data || !me.data) return null;
  const { client, machine, visits, today, ladder } = progress.data;
  const locale = me.data.gym.locale;
  return (
    <Page>
      <PageHead>
        <Title>
          <Link to={`/clients/${client.id}`} style={{ color: "inherit" }}>
            {client.name}
          </Link>
        </Title>
        <Muted>
          {machine.name} · {machine.place}
        </Muted>
        <SecondaryLink to={`/fittings/${id}/set-up`} style={{ marginLeft: "auto" }}>
          {say("progressPage.setUp")}
        </SecondaryLink>
      </PageHead>
      {visits.length === 0 ? (
        <Empty>{say("progressPage.nothingYet")}</Empty>
      ) : (
        <>
          <Plot>
            <VisitLine
              visits={visits}
              today={today?.load ?? null}
              next
              locale={locale}
              width={1120}
              height={250}
              ranges
              cautions={progress.data.cautions}
            />
          </Plot>
          <Section>
            <SectionTitle>{say("progressPage.nextTitle")}</SectionTitle>
            <Rungs aria-label={say("progressPage.ladderTitle")}>
              {ladder.rungs.map((rung) => (
                <li key={rung.name} aria-current={rung.here ? "step" : undefined}>
                  {rung.title}
                </li>
              ))}
            </Rungs>
            <p>
              {today ? (
                <>
                  <Strong>{say("progressPage.nextLoad", { load: today.load?.text })}</Strong> {today.says}{" "}
                </>
              ) : null}
              {ladder.says.join(" ")}
            </p>
          </Section>
          <Section>
            <SectionTitle>{say("progressPage.everyVisit")}</SectionTitle>
            <Visits progress={progress.data} locale={locale} />
          </Section>
        </>
      )}
    </Page>
  );
}

function Visits({ progress, locale }: { progress: Progress; locale: string }) {
  const cautions = progress.cautions;
  return (
    <>
      <Table aria-label={say("progressPage.everyVisit")}>
        <thead>
          <tr>
            <th>{say("progressPage.when")}</th>
            <th>{say("progressPage.load")}</th>
            <th>{say("progressPage.sets")}</th>
            <th>{say("progressPage.outcomeColumn")}</th>
            <th>{say("progressPage.range")}</th>
            <th>{say("progressPage.whatChanged")}</th>
            <th>{say("progressPage.watchedBy")}</th>
          </tr>
        </thead>
        <tbody>
          {[...progress.visits].reverse().map((visit) => (
            <tr key={visit.at}>
              <td>{momentText(visit.at, locale)}</td>
              <td>
                <Strong>{visit.load?.text ?? "–"}</Strong>
                {visit.one_leg ? ` ${say("progressPage.oneLeg")}` : ""}
              </td>
              <td>
                {visit.kind === "fitting"
                  ? say("progressPage.fitting")
                  : visit.repetitions
                    ? `${visit.sets} × ${visit.repetitions}`
                    : "–"}
              </td>
              <td>
                <BandShape band={OUTCOME[visit.outcome].band} /> {OUTCOME[visit.outcome].says}
              </td>
              <td>
                {visit.reached === null ? "–" : `${Math.round(visit.reached * 100)} %`}
                {visit.read ? <SetReview set={visit.read} /> : null}
              </td>
              <td>{visit.changes.join(". ")}</td>
              <td>{visit.watched_by ?? ""}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      {cautions.length > 0 ? (
        <ul>
          {cautions.map((caution) => (
            <li key={`${caution.at} ${caution.says}`}>
              <Small>
                {dayText(caution.at, locale)}: {caution.says}
              </Small>
            </li>
          ))}
        </ul>
      ) : null}
    </>
  );
}
