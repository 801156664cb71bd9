// Practising: a client who is made up on one of the gym's machines; what was given to everybody; how it went.
import { useQuery } from "@tanstack/react-query";
import { refusal } from "../../api/client";
import { meQuery, practiceQuery } from "../../api/queries";
import type { PracticeSummary } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { Notice } from "../../ui/Notice";
import {
  Columns,
  Empty,
  Muted,
  Page,
  PageHead,
  Rows,
  Section,
  SectionTitle,
  Small,
  Strong,
  Title,
} from "../../ui/Page";
import { useTitle } from "../../ui/useTitle";
import { May } from "../shared/May";
import { RowLink } from "../shared/RowLink";
import { Give } from "./Give";
import { GivenTask } from "./GivenTask";
import { NewRun } from "./NewRun";
import { People } from "./People";
import { useBegin } from "./useBegin";

export function PracticePage() {
  useTitle(say("practicePage.title"));
  const practice = useQuery(practiceQuery);
  const me = useQuery(meQuery);
  const begin = useBegin();
  if (practice.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(practice.error)?.message}</Notice>
      </Page>
    );
  if (!practice.data) return null;
  const { tasks, runs, people } = practice.data;
  const locale = me.data?.gym.locale ?? "en-GB";
  return (
    <Page>
      <PageHead>
        <Title>{say("practicePage.title")}</Title>
        <Muted>{say("practicePage.lead")}</Muted>
      </PageHead>
      {begin.error ? <Notice tone="wrong">{refusal(begin.error)?.message}</Notice> : null}
      <Columns>
        <div>
          <NewRun practice={practice.data} busy={begin.isPending} onBegin={begin.mutate} />
          <Section>
            <SectionTitle>{say("practicePage.given")}</SectionTitle>
            {tasks.length === 0 ? <Empty>{say("practicePage.nothingGiven")}</Empty> : null}
            {tasks.map((task) => (
              <GivenTask key={task.id} task={task} onBegin={begin.mutate} />
            ))}
          </Section>
          <May ask="givePractice">
            <Give practice={practice.data} />
          </May>
        </div>
        <div>
          <Section>
            <SectionTitle>{say("practicePage.own")}</SectionTitle>
            {runs.length === 0 ? <Empty>{say("practicePage.noneYet")}</Empty> : null}
            <Rows>
              {runs.map((run) => (
                <li key={run.id}>
                  <RowLink to={`/practice/${run.id}`}>
                    <span>
                      <Strong>{run.machine_name}</Strong> <Small>{momentText(run.begun_at ?? "", locale)}</Small>
                    </span>
                    <span>{outcome(run)}</span>
                  </RowLink>
                </li>
              ))}
            </Rows>
          </Section>
          <May ask="lookAtPractice">
            <People people={people} locale={locale} />
          </May>
        </div>
      </Columns>
    </Page>
  );
}

function outcome({ over, passed, total }: PracticeSummary) {
  if (!over) return say("practicePage.open");
  return passed ? say("practicePage.passed", { total }) : say("practicePage.notPassed", { total });
}
