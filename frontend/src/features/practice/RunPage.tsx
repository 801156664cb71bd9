// One client who is made up: at work, and when it is over, the debrief.
import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { refusal } from "../../api/client";
import { practiceRunQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { useTitle } from "../../ui/useTitle";
import { AtWork } from "./AtWork";
import { DebriefView } from "./DebriefView";

export function RunPage() {
  const { id = "" } = useParams();
  const run = useQuery(practiceRunQuery(id));
  useTitle(run.data ? say("runPage.title", { machine: run.data.machine_name }) : say("practicePage.title"));
  if (run.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(run.error)?.message}</Notice>
        <QuietLink to="/practice">{say("runPage.back")}</QuietLink>
      </Page>
    );
  if (!run.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>{run.data.machine_name}</Title>
        <Muted>
          {say("runPage.madeUp", {
            sex: run.data.sex === "woman" ? say("runPage.woman") : say("runPage.man"),
            age: run.data.person.age_years,
            kg: run.data.person.mass_kg,
            seed: run.data.seed,
          })}
        </Muted>
        <QuietLink to="/practice">{say("runPage.back")}</QuietLink>
      </PageHead>
      {run.data.over ? <DebriefView id={id} /> : <AtWork key={run.data.after} run={run.data} />}
    </Page>
  );
}
