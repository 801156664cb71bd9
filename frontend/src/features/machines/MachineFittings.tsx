import { say } from "../../lib/say";
import { Link } from "react-router";
import styled from "styled-components";
import type { ExerciseName, MachinePage as MachinePageData } from "../../api/types";
import { momentText } from "../../lib/dates";
import { BandName } from "../../ui/Band";
import { MarkTags } from "../../ui/MarkTag";
import { Empty, Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { space } from "../../ui/tokens";

const FittingRow = styled.li`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: ${space(2)} ${space(4)};
  padding: ${space(3)} ${space(4)};
`;

export function MachineFittings({
  page,
  exercise,
  locale,
}: {
  page: MachinePageData;
  exercise: ExerciseName;
  locale: string;
}) {
  const rows = page.fittings.filter((fitting) => fitting.exercise === exercise);
  return (
    <Section>
      <SectionTitle>{say("machineFittings.acceptedFittings")}</SectionTitle>
      {rows.length === 0 ? <Empty>{say("machineFittings.none")}</Empty> : null}
      <Rows>
        {rows.map((fitting) => (
          <FittingRow key={fitting.id}>
            <span>
              <Link to={`/fittings/${fitting.id}`}>
                <Strong>{fitting.client.name}</Strong>
              </Link>{" "}
              <Small>{fitting.client.detail}</Small>
              <br />
              <Small>
                {fitting.by}, {momentText(fitting.accepted_at, locale)}
              </Small>
            </span>
            <MarkTags tags={fitting.marks} />
            <BandName band={fitting.grade} />
          </FittingRow>
        ))}
      </Rows>
    </Section>
  );
}
