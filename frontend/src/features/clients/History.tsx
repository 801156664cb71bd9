import { say } from "../../lib/say";
import { Link } from "react-router";
import styled from "styled-components";
import type { ClientPage as ClientPageData } from "../../api/types";
import { momentText } from "../../lib/dates";
import { BandName } from "../../ui/Band";
import { Rows, Section, SectionTitle, Small } from "../../ui/Page";
import { space } from "../../ui/tokens";

const HistoryRow = styled.li`
  padding: ${space(3)} ${space(4)};
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: ${space(1)} ${space(4)};
`;

type Line = ClientPageData["history"][number];
const several = (all: readonly Line[], { machine_id, exercise }: Line) =>
  all.filter((one) => one.machine_id === machine_id && one.exercise === exercise).length > 1;

/** Every fitting that was closed, newest first. */
export function History({ page, locale }: { page: ClientPageData; locale: string }) {
  if (page.history.length === 0) return null;
  return (
    <Section>
      <SectionTitle>{say("history.acceptedFittings")}</SectionTitle>
      <Rows>
        {page.history.map((line) => (
          <HistoryRow key={line.id}>
            <span>
              <Link to={`/fittings/${line.id}`}>
                {line.machine_name}, {momentText(line.accepted_at, locale)}
              </Link>{" "}
              <Small>
                {line.taken_back
                  ? say("history.takenBack", { reason: line.taken_back.reason })
                  : line.stopped
                    ? say("history.stoppedStopped", { stopped: line.stopped.toLowerCase() })
                    : line.worst}
              </Small>
            </span>
            <span>
              {several(page.history, line) ? (
                <Link to={`/clients/${page.client.id}/history/${line.machine_id}?exercise=${line.exercise}`}>
                  {say("history.compareLink")}
                </Link>
              ) : null}{" "}
              {line.taken_back ? null : <BandName band={line.grade} />}
            </span>
          </HistoryRow>
        ))}
      </Rows>
    </Section>
  );
}
