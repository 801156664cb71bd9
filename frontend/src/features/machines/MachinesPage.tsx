import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import { machinesQuery } from "../../api/queries";
import { useTitle } from "../../app/Shell";
import { Empty, Muted, Page, PageHead, Rows, Section, Small, Strong, Title } from "../../ui/Page";
import { breakpoint, font, space } from "../../ui/tokens";

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 2fr);
  gap: ${space(4)};
  padding: ${space(4)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Marks = styled.dl`
  display: grid;
  grid-template-columns: 6rem minmax(0, 1fr);
  gap: ${space(1)} ${space(3)};
  dd {
    font-family: ${font.mark};
  }
`;

export function MachinesPage() {
  useTitle("Machines");
  const machines = useQuery(machinesQuery);
  return (
    <Page>
      <PageHead>
        <Title>Machines</Title>
        <Muted>taped once, in millimetres; marks exactly as printed</Muted>
      </PageHead>
      <Section>
        <Rows>
          {(machines.data ?? []).map((machine) => (
            <Row key={machine.id}>
              <div>
                <Strong>{machine.name}</Strong>
                <br />
                <Small>
                  {machine.family_name}, {machine.place}
                </Small>
              </div>
              <Marks>
                {machine.adjusters.map((adjuster) => (
                  <div key={adjuster.label} style={{ display: "contents" }}>
                    <dt>{adjuster.name}</dt>
                    <dd>{adjuster.marks.join(" · ")}</dd>
                  </div>
                ))}
              </Marks>
            </Row>
          ))}
        </Rows>
      </Section>
      <Section>
        <Empty>
          Entering and taping a machine of your own, its photographs and its page will stand here. Until then the
          machines come with the gym.
        </Empty>
      </Section>
    </Page>
  );
}
