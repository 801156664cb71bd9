// House rules: the gym's school of each contested question. A choice that changes advice says whose, before it is made.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { keys } from "../../api/keys";
import { api, newKey, standing, unwrap } from "../../api/client";
import { rulesQuery } from "../../api/queries";
import type { Rules } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { SecondaryLink } from "../../ui/LinkButton";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { AimsTable } from "./AimsTable";
import { type Asked, Consequences } from "./Consequences";
import { useMay } from "../shared/useMay";
import { Notice } from "../../ui/Notice";
import { CautionReview } from "./CautionReview";
import { QuestionList } from "./QuestionList";
import { RuleRefused } from "./RuleRefused";
import { StricterCautions } from "./StricterCautions";
import { TemposTable } from "./TemposTable";

export function HouseRulesPage() {
  useTitle(say("houseRulesPage.houseRules"));
  const rules = useQuery(rulesQuery);
  const [asked, setAsked] = useState<Asked | null>(null);
  const may = useMay();
  const queryClient = useQueryClient();
  const choose = useMutation({
    mutationFn: ({ question, school }: Asked) =>
      unwrap(
        api.PUT("/api/rules/{question}", {
          params: { path: { question: question.name }, header: newKey() },
          body: { school, version: rules.data?.version ?? 1 },
        }),
      ),
    onSuccess: (kept) => {
      setAsked(null);
      queryClient.setQueryData(rulesQuery.queryKey, kept);
      void queryClient.invalidateQueries({ queryKey: keys.anyMachine });
    },
    // A colleague was quicker: what stands there now is shown, and chosen from again.
    onError: (thrown) => {
      const now = standing<Rules>(thrown);
      if (!now) return;
      setAsked(null);
      queryClient.setQueryData(rulesQuery.queryKey, now);
    },
  });
  if (!rules.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>{say("houseRulesPage.houseRules")}</Title>
        <Muted>{say("houseRulesPage.hint")}</Muted>
        <SecondaryLink to="/rules/cues">{say("cuesPage.title")}</SecondaryLink>
        <SecondaryLink to="/gym" style={{ marginLeft: "auto" }}>
          {say("houseRulesPage.theGym")}
        </SecondaryLink>
      </PageHead>
      <RuleRefused thrown={choose.error} />
      {may("setRule") ? null : (
        <div style={{ marginBottom: "1.25rem" }}>
          <Notice>{say("gymPage.onlyALead")}</Notice>
        </div>
      )}
      <QuestionList
        readOnly={!may("setRule")}
        questions={rules.data.questions}
        onChoose={(question, school) => {
          if (school === null) return;
          if (question.computed) setAsked({ question, school });
          else choose.mutate({ question, school });
        }}
      />
      {may("setRule") ? (
        <>
          <TemposTable />
          <AimsTable />
          <StricterCautions rules={rules.data} />
        </>
      ) : null}
      <CautionReview />
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
