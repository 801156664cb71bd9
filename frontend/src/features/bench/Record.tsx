// An accepted fitting, as it was kept: marks, numbers, findings, and what it was computed from.
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import { meQuery } from "../../api/queries";
import type { FittingPage } from "../../api/types";
import { SideView } from "../../figure/SideView";
import { momentText } from "../../model/dates";
import { lengthText } from "../../model/lengths";
import { BandName } from "../../ui/Band";
import { PrimaryLink } from "../../ui/LinkButton";
import { MarkRow, MarkTag } from "../../ui/MarkTag";
import { Muted, Page, PageHead, Section, SectionTitle, Small, Title } from "../../ui/Page";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { describeSide } from "./descriptions";
import { FindingList } from "./FindingsBar";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space(7)};
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Picture = styled.figure`
  height: 26rem;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.ground};
  overflow: hidden;
`;
const Sheet = styled.div`
  > ul {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Basis = styled.ul`
  display: grid;
  gap: ${space(1)};
`;

export function Record({ fitting }: { fitting: FittingPage }) {
  const me = useQuery(meQuery);
  const { client, machine, evaluation, computed_from: from } = fitting;
  if (!me.data || !from) return null;
  return (
    <Page>
      <PageHead>
        <Title>
          {client.name} on {machine.name}
        </Title>
        <Muted>
          accepted by {fitting.by}, {momentText(fitting.accepted_at, me.data.gym.locale, new Date())}
        </Muted>
      </PageHead>
      <Columns>
        <div>
          <Section>
            <SectionTitle>Marks</SectionTitle>
            <MarkRow>
              {machine.adjusters.map((adjuster) => (
                <MarkTag key={adjuster.label} label={adjuster.name} mark={fitting.marks[adjuster.label] ?? "–"} />
              ))}
            </MarkRow>
            <p style={{ marginTop: "0.75rem" }}>
              <BandName band={evaluation.grade} />
            </p>
          </Section>
          <Section>
            <SectionTitle>Found</SectionTitle>
            <Sheet>
              <FindingList findings={evaluation.findings} />
              <p style={{ padding: "0 1.25rem 1rem" }}>
                <Small>
                  {evaluation.motion.creep} {evaluation.motion.ratio}
                </Small>
              </p>
            </Sheet>
          </Section>
          <Section>
            <SectionTitle>Computed from</SectionTitle>
            <Basis>
              {from.readings.length === 0 ? <li>no reading: every length estimated</li> : null}
              {from.readings.map((reading) => (
                <li key={reading.observation}>
                  {reading.title} {lengthText(reading.value_mm, me.data.length_unit)}
                  {reading.state === "used" ? "" : ` (${reading.state.replace("_", " ")})`}
                </li>
              ))}
              <li>
                <Small>
                  {machine.name} as taped, version {from.machine.description_number}; advised{" "}
                  {machine.adjusters
                    .map((adjuster) => `${adjuster.name.toLowerCase()} ${from.advised[adjuster.label]}`)
                    .join(", ")}
                  ; model {from.model}
                </Small>
              </li>
            </Basis>
          </Section>
        </div>
        <Section>
          <SectionTitle>Fit</SectionTitle>
          <Picture>
            <SideView
              figure={evaluation.figure}
              findings={evaluation.findings}
              inLineMm={evaluation.joint.in_line_mm}
              description={describeSide(evaluation)}
            />
          </Picture>
          <p style={{ marginTop: "1rem" }}>
            <PrimaryLink to={`/clients/${client.id}`}>To the card</PrimaryLink>
          </p>
        </Section>
      </Columns>
    </Page>
  );
}
