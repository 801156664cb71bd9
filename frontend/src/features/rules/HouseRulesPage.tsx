// House rules: the gym's school of each contested question. A choice that changes advice says whose, before it is made.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { rulesQuery } from "../../api/queries";
import type { Question } from "../../api/types";
import { useTitle } from "../../app/Shell";
import { BandName } from "../../ui/Band";
import { PrimaryButton, QuietButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Small, Strong, Title } from "../../ui/Page";
import { colour, space } from "../../ui/tokens";
import { QuestionList } from "./QuestionList";

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

type Asked = { question: Question; school: string };

export function HouseRulesPage() {
  useTitle("House rules");
  const rules = useQuery(rulesQuery);
  const [asked, setAsked] = useState<Asked | null>(null);
  const queryClient = useQueryClient();
  const choose = useMutation({
    mutationFn: ({ question, school }: Asked) =>
      unwrap(
        api.PUT("/api/rules/{question}", {
          params: { path: { question: question.name }, header: newKey() },
          body: { school },
        }),
      ),
    onSuccess: (kept) => {
      setAsked(null);
      queryClient.setQueryData(rulesQuery.queryKey, kept);
      void queryClient.invalidateQueries({ queryKey: ["machine"] });
    },
  });
  if (!rules.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>House rules</Title>
        <Muted>where good instructors disagree; an instructor may choose otherwise for a client</Muted>
      </PageHead>
      {choose.error ? <Notice tone="wrong">{refusal(choose.error)?.message}</Notice> : null}
      <QuestionList
        questions={rules.data.questions}
        onChoose={(question, school) => {
          if (school === null) return;
          if (question.computed) setAsked({ question, school });
          else choose.mutate({ question, school });
        }}
      />
      {asked ? (
        <Consequences
          asked={asked}
          busy={choose.isPending}
          onChoose={() => choose.mutate(asked)}
          onClose={() => setAsked(null)}
        />
      ) : null}
    </Page>
  );
}

type Props = { asked: Asked; busy: boolean; onChoose: () => void; onClose: () => void };

/** Whose advice would change, before it does. Accepted fittings stay as they were. */
function Consequences({ asked: { question, school }, busy, onChoose, onClose }: Props) {
  const changes = useQuery({
    queryKey: ["rules", question.name, "changes", school],
    queryFn: () =>
      unwrap(
        api.POST("/api/rules/{question}/changes", { params: { path: { question: question.name } }, body: { school } }),
      ),
  });
  const title = question.schools.find(({ name }) => name === school)?.title ?? school;
  const lines = changes.data?.lines ?? [];
  return (
    <Dialogue title={`${question.title}: ${title.toLowerCase()}`} isOpen onClose={onClose}>
      {changes.data ? (
        <p role="status">
          {lines.length === 0
            ? `Nobody's advice changes: ${changes.data.asked} cards asked.`
            : `The advice changes on ${lines.length} of ${changes.data.asked} cards${changes.data.asked < changes.data.of ? `, the latest of ${changes.data.of}` : ""}. What was accepted stays as it was.`}
        </p>
      ) : (
        <p role="status">Asking every card…</p>
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
          Choose it
        </PrimaryButton>
        <QuietButton onPress={onClose}>Leave it as it is</QuietButton>
      </Actions>
    </Dialogue>
  );
}

const marksText = (tags: { name: string; mark: string }[]) =>
  tags.map(({ name, mark }) => `${name.toLowerCase()} ${mark}`).join(", ");
