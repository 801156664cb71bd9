// Who of the gym's clients fits a machine, and whose advice its last change changed.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import styled from "styled-components";
import { changesQuery, populationQuery } from "../../api/queries";
import type { ExerciseName } from "../../api/types";
import { FitOverStature } from "../../scene/FitOverStature";
import { BandName } from "../../ui/Band";
import { MarkTags } from "../../ui/MarkTag";
import { Empty, Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { colour, radius, space } from "../../ui/tokens";

const Panel = styled.div`
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Change = styled.li`
  display: grid;
  grid-template-columns: minmax(8rem, 1fr) auto auto;
  gap: ${space(2)} ${space(4)};
  align-items: center;
  padding: ${space(3)} ${space(4)};
`;

export function WhoFits({ id, exercise }: { id: string; exercise: ExerciseName }) {
  const population = useQuery(populationQuery(id, exercise));
  if (population.isPending) return <Empty>{say("whoFits.trying")}</Empty>;
  if (!population.data) return null;
  const { people, of } = population.data;
  if (people.length === 0) return <Empty>{say("whoFits.none")}</Empty>;
  return (
    <Panel>
      <FitOverStature population={population.data} />
      <Small>
        {people.length === of
          ? say("whoFits.basisAll", { of })
          : say("whoFits.basisSample", { count: people.length, of })}
      </Small>
    </Panel>
  );
}

export function ChangedAdvice({ id, number }: { id: string; number: number }) {
  const changes = useQuery(changesQuery(id, number));
  if (number < 2) return null;
  if (changes.isPending) return <Empty>{say("whoFits.comparing")}</Empty>;
  if (!changes.data) return null;
  const { clients, asked, of } = changes.data;
  return (
    <Section aria-labelledby="changed">
      <SectionTitle id="changed">{say("whoFits.changesTitle")}</SectionTitle>
      {clients.length === 0 ? (
        <Empty>
          {say("whoFits.nobodyAll")} {asked} {say("whoFits.keptNote")}
        </Empty>
      ) : (
        <Rows>
          {clients.map((change) => (
            <Change key={`${change.client.id} ${change.exercise}`}>
              <span>
                <Link to={`/clients/${change.client.id}`}>
                  <Strong>{change.client.name}</Strong>
                </Link>
                <br />
                <Small>{change.client.detail}</Small>
              </span>
              <span>
                <Small>{say("whoFits.was")}</Small>
                <br />
                <MarkTags tags={change.before} />
                <br />
                <BandName band={change.grade_before} />
              </span>
              <span>
                <Small>{say("whoFits.now")}</Small>
                <br />
                <MarkTags tags={change.now} />
                <br />
                <BandName band={change.grade_now} />
              </span>
            </Change>
          ))}
        </Rows>
      )}
      {asked < of ? <Small>{say("whoFits.basisLatest", { asked, of })}</Small> : null}
    </Section>
  );
}
