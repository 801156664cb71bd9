import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { clientQuery, meQuery } from "../../api/queries";
import type { CardLine as CardLineData, ClientPage as ClientPageData, ExerciseName, Machine } from "../../api/types";
import { useTitle } from "../../app/Shell";
import { BodyFigure } from "../../figure/BodyFigure";
import { dayText, momentText } from "../../model/dates";
import { BandName } from "../../ui/Band";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { PrimaryLink, QuietLink, SecondaryLink } from "../../ui/LinkButton";
import { MarkTags } from "../../ui/MarkTag";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { CautionLines } from "../cautions/CautionLines";
import { Needs } from "../machines/Needs";
import { useOpenFitting } from "./useOpenFitting";

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
const CardRow = styled.li`
  display: grid;
  grid-template-columns: minmax(10rem, 2fr) minmax(0, 3fr) auto;
  gap: ${space(3)} ${space(4)};
  align-items: center;
  padding: ${space(4)};
  @media ${breakpoint.phone} {
    grid-template-columns: 1fr;
  }
`;
const End = styled.span`
  display: flex;
  justify-content: flex-end;
`;
const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-top: ${space(3)};
`;
const HistoryRow = styled.li`
  padding: ${space(3)} ${space(4)};
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: ${space(1)} ${space(4)};
`;

export function ClientPage() {
  const { id = "" } = useParams();
  const page = useQuery(clientQuery(id));
  const me = useQuery(meQuery);
  useTitle(page.data?.client.name ?? "Client");
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message ?? "This page could not be opened."}</Notice>
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
            client.birth_date ? `born ${dayText(client.birth_date, locale, new Date())}` : null,
          ]
            .filter(Boolean)
            .join(" · ")}
        </Muted>
        <QuietLink to={`/clients/${id}/details`}>Correct</QuietLink>
        <QuietLink to={`/clients/${id}/cautions`}>Cautions</QuietLink>
        <QuietLink to={`/clients/${id}/rules`}>House rules</QuietLink>
      </PageHead>
      {page.data.cautions.length > 0 ? (
        <div style={{ marginBottom: "1.5rem" }}>
          <CautionLines cautions={page.data.cautions} />
        </div>
      ) : null}
      <Columns>
        <Section>
          <SectionTitle>Body</SectionTitle>
          <Panel>
            <BodyFigure body={page.data.body} unit={me.data.length_unit} />
            <p>
              <Small>
                {read.length === 0
                  ? "Nothing taped yet: every length is estimated."
                  : `Taped: ${read.map((observation) => observation.title.toLowerCase()).join(", ")}. Firm lines rest on the tape, dashed ones were learned, dotted ones are estimated.`}
              </Small>
            </p>
            {page.data.learned.length > 0 ? (
              <p>
                <Small>
                  Learned from{" "}
                  {page.data.learned.map((learned, index) => (
                    <span key={learned.fitting_id}>
                      {index > 0 ? ", " : ""}
                      <Link to={`/fittings/${learned.fitting_id}`}>{learned.machine}</Link>
                    </span>
                  ))}
                  , where the fit was seen by eye.
                </Small>
              </p>
            ) : null}
            <Actions>
              <NextTape page={page.data} id={id} />
            </Actions>
          </Panel>
        </Section>
        <div>
          <Card page={page.data} id={id} locale={locale} />
          <History page={page.data} locale={locale} />
        </div>
      </Columns>
    </Page>
  );
}

function NextTape({ page, id }: { page: ClientPageData; id: string }) {
  const next = page.observations.find((observation) => observation.name === page.next);
  const untaped = page.observations.every((observation) => !observation.reading);
  if (untaped) return <PrimaryLink to={`/clients/${id}/tape`}>Take the tape</PrimaryLink>;
  return (
    <SecondaryLink to={`/clients/${id}/tape`}>
      {next ? `Tape: ${next.title.toLowerCase()} would help most` : "Tape"}
    </SecondaryLink>
  );
}

/** A line a machine (on a station, an exercise): its marks in its own labels, how well it fits, who and when, and the way to the bench. */
function Card({ page, id, locale }: { page: ClientPageData; id: string; locale: string }) {
  const opening = useOpenFitting(id);
  const lines = fittedFirst(page);
  const begin = whereToBegin(page, lines);
  return (
    <Section aria-labelledby="card">
      <SectionTitle id="card">Card</SectionTitle>
      {opening.error ? (
        <Notice tone="wrong">{refusal(opening.error)?.message ?? "The bench could not be opened."}</Notice>
      ) : null}
      {page.machines.length === 0 ? (
        <Empty>
          The gym has no machines yet. <Link to="/machines/new">Enter the first one.</Link>
        </Empty>
      ) : null}
      <Rows>
        {lines.map(({ machine, exercise, name, line }) => (
          <CardLine
            key={`${machine.id} ${exercise}`}
            machine={machine}
            name={name}
            line={line}
            first={`${machine.id} ${exercise}` === begin}
            locale={locale}
            busy={opening.isPending}
            onOpen={() => opening.mutate({ machineId: machine.id, exercise })}
          />
        ))}
      </Rows>
    </Section>
  );
}

const linesOf = (machine: Machine): { machine: Machine; exercise: ExerciseName; name: string }[] =>
  machine.exercises.length === 0
    ? [{ machine, exercise: "", name: machine.name }]
    : machine.exercises.map(({ name, title }) => ({
        machine,
        exercise: name as ExerciseName,
        name: `${machine.name}: ${title.toLowerCase()}`,
      }));

/** What stands on the card, then what is open, then the rest. */
function fittedFirst(page: ClientPageData) {
  const rank = (line: CardLineData | undefined) => (line?.accepted ? 0 : line?.draft ? 1 : 2);
  return page.machines
    .flatMap(linesOf)
    .map((entry) => ({
      ...entry,
      line: page.card.find((line) => line.machine.id === entry.machine.id && line.exercise === entry.exercise),
    }))
    .sort((one, other) => rank(one.line) - rank(other.line));
}

/** A card that is still empty begins on a machine that can be advised on: taped, and in use. */
function whereToBegin(page: ClientPageData, lines: ReturnType<typeof fittedFirst>) {
  if (page.card.length > 0) return null;
  const line = lines.find(({ machine }) => machine.taped === "taped" && machine.state === "in_use") ?? lines[0];
  return line ? `${line.machine.id} ${line.exercise}` : null;
}

type LineProps = {
  machine: Machine;
  name: string;
  line: CardLineData | undefined;
  first: boolean;
  locale: string;
  busy: boolean;
  onOpen: () => void;
};

function CardLine({ machine, name, line, first, locale, busy, onOpen }: LineProps) {
  const accepted = line?.accepted;
  const Start = first ? PrimaryButton : SecondaryButton;
  return (
    <CardRow data-machine={name}>
      <div>
        <Strong>{name}</Strong>
        <br />
        <Small>{machine.place}</Small>
        {accepted ? (
          <>
            <br />
            <Small>
              {accepted.by}, {momentText(accepted.accepted_at, locale, new Date())}
            </Small>
          </>
        ) : null}
        <Needs machine={machine} quiet />
      </div>
      <div>
        {accepted ? (
          <>
            <MarkTags tags={accepted.marks} />
            <br />
            <BandName band={accepted.grade} />
            {accepted.load ? <Small> · {accepted.load}</Small> : null}
            {accepted.checked ? <Small> · seen by eye</Small> : null}
          </>
        ) : (
          <Muted>Not fitted yet</Muted>
        )}
      </div>
      <End>
        {line?.draft ? (
          <SecondaryLink to={`/fittings/${line.draft.id}`}>Resume</SecondaryLink>
        ) : (
          <Start onPress={onOpen} isDisabled={busy}>
            {accepted ? "Fit again" : "Fit"}
            <span style={{ position: "absolute", clipPath: "inset(50%)" }}> on {name}</span>
          </Start>
        )}
      </End>
    </CardRow>
  );
}

function History({ page, locale }: { page: ClientPageData; locale: string }) {
  if (page.history.length === 0) return null;
  return (
    <Section>
      <SectionTitle>Accepted fittings</SectionTitle>
      <Rows>
        {page.history.map((line) => (
          <HistoryRow key={line.id}>
            <span>
              <Link to={`/fittings/${line.id}`}>
                {line.machine_name}, {momentText(line.accepted_at, locale, new Date())}
              </Link>{" "}
              <Small>{line.worst}</Small>
            </span>
            <BandName band={line.grade} />
          </HistoryRow>
        ))}
      </Rows>
    </Section>
  );
}
