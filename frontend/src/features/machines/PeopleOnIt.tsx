// How a small, a middle and a large person would sit on a machine as far as it is taped: drawn where the arm is known, and in words.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { Person, Trial } from "../../api/types";
import { SceneDrawing } from "../../scene/SceneDrawing";
import { BandName } from "../../ui/Band";
import { Empty, Small, Strong } from "../../ui/Page";
import { breakpoint, colour, radius, size, space } from "../../ui/tokens";

const NOTHING = say("peopleOnIt.unknown");

const Row = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${space(3)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Card = styled.div`
  display: grid;
  grid-template-rows: auto auto 1fr;
  gap: ${space(1)};
  padding: ${space(3)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  font-size: ${size.small};
  line-height: 1.35;
`;
const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 ${space(2)};
`;
const Drawn = styled.div`
  height: 11rem;
  margin: 0 -${space(2)};
  overflow: hidden;
`;

/** The verdicts alone, for beside the tape. */
export function PeopleInWords({ trial }: { trial: Trial }) {
  if (trial.told.length === 0) return <Empty>{NOTHING}</Empty>;
  return (
    <Row aria-live="polite" aria-label={say("peopleOnIt.title")}>
      {trial.people.map((person) => (
        <Card key={person.name} data-person={person.name}>
          <Strong>{person.title}</Strong>
          <BandName band={person.grade} />
          <p>{person.findings[0]?.says}</p>
        </Card>
      ))}
    </Row>
  );
}

export function PeopleOnIt({ trial }: { trial: Trial }) {
  if (trial.told.length === 0) return <Empty>{NOTHING}</Empty>;
  return (
    <Row aria-live="polite">
      {trial.people.map((person) => (
        <OnePerson key={person.name} person={person} />
      ))}
    </Row>
  );
}

function OnePerson({ person }: { person: Person }) {
  const odd = person.findings.filter(({ band }) => band !== "in line");
  const marks = person.marks.map(({ name, mark }) => `${name} ${mark}`).join(", ");
  return (
    <Card data-person={person.name}>
      <Head>
        <Strong>{person.title}</Strong>
        <BandName band={person.grade} />
      </Head>
      {person.scene ? (
        <Drawn>
          <SceneDrawing
            scene={person.scene}
            description={`${person.title}: ${person.findings.map(({ says }) => says).join(" ")}`}
          />
        </Drawn>
      ) : null}
      <div>
        <Small>{marks}</Small>
        {odd.map((finding) => (
          <p key={finding.code}>{finding.says}</p>
        ))}
        {odd.length === 0 ? <p>{person.findings.map(({ says }) => says)[0]}</p> : null}
      </div>
    </Card>
  );
}
