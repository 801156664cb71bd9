// The contested questions for one client: as the gym has them, or otherwise, with why.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { api, newKey, refusal, standing, unwrap } from "../../api/client";
import { clientRulesQuery } from "../../api/queries";
import type { ClientRules, Question } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { PrimaryButton, QuietButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Field } from "../../ui/Field";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { QuestionList } from "./QuestionList";
import { RuleRefused } from "./RuleRefused";

type Asked = { question: Question; school: string };

export function ClientRulesPage() {
  const { id = "" } = useParams();
  const rules = useQuery(clientRulesQuery(id));
  const [asked, setAsked] = useState<Asked | null>(null);
  const [reason, setReason] = useState("");
  const queryClient = useQueryClient();
  useTitle(
    rules.data
      ? say("clientRulesPage.titleNamed", { name: rules.data.client.name })
      : say("clientRulesPage.houseRules"),
  );
  const choose = useMutation({
    mutationFn: ({ name, school }: { name: string; school: string | null }) =>
      unwrap(
        api.PUT("/api/clients/{id}/rules/{question}", {
          params: { path: { id, question: name }, header: newKey() },
          body: { school, reason, version: rules.data?.version ?? 1 },
        }),
      ),
    onSuccess: (kept) => {
      setAsked(null);
      setReason("");
      queryClient.setQueryData(clientRulesQuery(id).queryKey, kept);
    },
    // A colleague was quicker: what stands there now is shown under what is being chosen; the reason stays.
    onError: (thrown) => {
      const now = standing<ClientRules>(thrown);
      if (now) queryClient.setQueryData(clientRulesQuery(id).queryKey, now);
    },
  });
  if (!rules.data) return null;
  const titleOf = (question: Question, school: string | undefined) =>
    question.schools.find(({ name }) => name === school)?.title ?? "";
  return (
    <Page>
      <PageHead>
        <Title>
          {say("clientRulesPage.title")} {rules.data.client.name}
        </Title>
        <Muted>{say("clientRulesPage.asGym")}</Muted>
        <QuietLink to={`/clients/${id}`}>{say("clientRulesPage.cardLink")}</QuietLink>
      </PageHead>
      {asked ? null : <RuleRefused thrown={choose.error} />}
      <QuestionList
        questions={rules.data.questions}
        asTheGym={(question) => titleOf(question, question.gym)}
        onChoose={(question, school) =>
          school === null ? choose.mutate({ name: question.name, school }) : setAsked({ question, school })
        }
      />
      {asked ? (
        <Dialogue
          title={`${asked.question.title}: ${titleOf(asked.question, asked.school).toLowerCase()}`}
          isOpen
          onClose={() => setAsked(null)}
        >
          {choose.error ? <Notice tone="wrong">{refusal(choose.error)?.message}</Notice> : null}
          <Field
            label={say("clientRulesPage.reasonLabel")}
            hint={say("clientRulesPage.reasonHint")}
            value={reason}
            maxLength={200}
            autoFocus
            autoComplete="off"
            onChange={setReason}
          />
          <p style={{ marginTop: "1rem" }}>
            <PrimaryButton
              isDisabled={choose.isPending}
              onPress={() => choose.mutate({ name: asked.question.name, school: asked.school })}
            >
              {say("clientRulesPage.chooseIt")}
            </PrimaryButton>{" "}
            <QuietButton onPress={() => setAsked(null)}>{say("clientRulesPage.cancel")}</QuietButton>
          </p>
        </Dialogue>
      ) : null}
    </Page>
  );
}
