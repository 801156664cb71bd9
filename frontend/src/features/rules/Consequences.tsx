import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import styled from "styled-components";
import { ruleChangesQuery } from "../../api/queries";
import type { Question } from "../../api/types";
import { BandName } from "../../ui/Band";
import { PrimaryButton, QuietButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Small, Strong } from "../../ui/Page";
import { colour, space } from "../../ui/tokens";

const Lines = styled.ul`
  max-height: 18rem;
  overflow: auto;
  margin: ${space(3)} 0;
  > li {
    padding: ${space(2)} 0;
    border-top: 1px solid ${colour.line};
  }
`;
const Actions = styled.div`
  display: flex;
  gap: ${space(3)};
  margin-top: ${space(4)};
`;

/** Another school of a question, before it is chosen. */
export type Asked = { question: Question; school: string };

type Props = { asked: Asked; busy: boolean; onChoose: () => void; onClose: () => void };

/** Whose advice would change, before it does. Accepted fittings stay as they were. */
export function Consequences({ asked: { question, school }, busy, onChoose, onClose }: Props) {
  const changes = useQuery(ruleChangesQuery(question.name, school));
  const title = question.schools.find(({ name }) => name === school)?.title ?? school;
  const lines = changes.data?.lines ?? [];
  return (
    <Dialogue title={`${question.title}: ${title.toLowerCase()}`} isOpen onClose={onClose}>
      {changes.data ? (
        <p role="status">
          {lines.length === 0
            ? say("consequences.unchanged", { asked: changes.data.asked })
            : say("consequences.changed", {
                count: lines.length,
                asked: changes.data.asked,
                what: changes.data.asked < changes.data.of ? say("consequences.sampled", { of: changes.data.of }) : "",
              })}
        </p>
      ) : (
        <p role="status">{say("consequences.asking")}</p>
      )}
      <Lines>
        {lines.map((line) => (
          <li key={`${line.client.id} ${line.machine}`}>
            <Link to={`/clients/${line.client.id}`}>
              <Strong>{line.client.name}</Strong>
            </Link>{" "}
            <Small>{line.machine}</Small>
            <br />
            {marksText(line.before)} <BandName band={line.grade_before} /> → {marksText(line.now)}{" "}
            <BandName band={line.grade_now} />
          </li>
        ))}
      </Lines>
      <Actions>
        <PrimaryButton onPress={onChoose} isDisabled={busy || !changes.data}>
          {say("consequences.chooseIt")}
        </PrimaryButton>
        <QuietButton onPress={onClose}>{say("consequences.cancel")}</QuietButton>
      </Actions>
    </Dialogue>
  );
}

const marksText = (tags: { name: string; mark: string }[]) =>
  tags.map(({ name, mark }) => `${name.toLowerCase()} ${mark}`).join(", ");
