// The machines place by place, as the gym is laid out: how each stands, and what it needs.
import { Link } from "react-router";
import styled from "styled-components";
import type { MachineAtAGlance } from "../../api/types";
import { say } from "../../lib/say";
import { MarkTags } from "../../ui/MarkTag";
import { Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { colour, radius, space } from "../../ui/tokens";
import { Needs } from "../shared/Needs";

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(18rem, 1fr));
  gap: ${space(4)};
  align-items: start;
`;
const Place = styled.div`
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  h3 {
    padding: ${space(3)} ${space(4)} ${space(2)};
    font-weight: inherit;
  }
`;
const MachineLink = styled(Link)`
  display: grid;
  gap: ${space(1)};
  padding: ${space(2)} ${space(4)};
  min-height: 44px;
  align-content: center;
  border-top: 1px solid ${colour.line};
  color: ${colour.ink};
  text-decoration: none;
  &:hover {
    background: ${colour.actionQuiet};
  }
  &[data-state="out_of_order"] {
    background: ${colour.closeFill};
  }
`;

export function Places({ machines }: { machines: readonly MachineAtAGlance[] }) {
  const used = machines.filter(({ state }) => state !== "retired" && state !== "considered");
  const places = [...new Set(used.map(({ place }) => place))].sort();
  if (used.length === 0) return null;
  return (
    <Section style={{ marginTop: "2rem" }}>
      <SectionTitle>{say("floorPlaces.placeByPlace")}</SectionTitle>
      <Grid>
        {places.map((place) => (
          <Place key={place}>
            <h3>
              <Small>{place || say("floorPlaces.unplaced")}</Small>
            </h3>
            <ul>
              {used
                .filter((machine) => machine.place === place)
                .map((machine) => (
                  <li key={machine.id}>
                    <MachineLink to={`/machines/${machine.id}`} data-state={machine.state}>
                      <span>
                        <Strong>{machine.name}</Strong> <Small>{machine.code}</Small>
                      </span>
                      <Needs machine={machine} />
                      {machine.standing.map(({ exercise, marks }) => (
                        <div key={exercise}>
                          <Small>{machine.exercises.find(({ name }) => name === exercise)?.title}</Small>
                          <MarkTags tags={marks} />
                        </div>
                      ))}
                    </MachineLink>
                  </li>
                ))}
            </ul>
          </Place>
        ))}
      </Grid>
    </Section>
  );
}
