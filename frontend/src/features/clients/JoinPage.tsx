// Two records that turn out to be one person's: the other one is looked for, held beside this one, and joined into it;
// and those that were joined before, to be taken apart again. For whoever leads the gym.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { besideQuery, clientQuery, joinsQuery, meQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Options, Page, PageHead, Section, Small, Title } from "../../ui/Page";
import { useTitle } from "../../ui/useTitle";
import { ClientPicker } from "../shared/ClientPicker";
import { Beside } from "./Beside";
import { Joined } from "./Joined";

export function JoinPage() {
  const { id = "" } = useParams();
  const [other, setOther] = useState<string | null>(null);
  const queryClient = useQueryClient();
  const page = useQuery(clientQuery(id));
  const joins = useQuery(joinsQuery(id));
  const beside = useQuery({ ...besideQuery(id, other ?? ""), enabled: other !== null });
  const me = useQuery(meQuery);
  useTitle(say("joinPage.title"));
  const join = useMutation({
    mutationFn: ({ kept, other: from }: NonNullable<typeof beside.data>) =>
      unwrap(
        api.POST("/api/clients/{id}/joins", {
          params: { path: { id }, header: newKey() },
          body: { other: from.id, version: kept.version, other_version: from.version },
        }),
      ),
    onSuccess: async () => {
      setOther(null);
      await queryClient.invalidateQueries();
    },
    // Whoever came too late sees what stands there now.
    onError: () => void beside.refetch(),
  });
  const problem = page.error ?? joins.error ?? beside.error ?? join.error;
  const choose = (one: string | null) => {
    join.reset();
    setOther(one);
  };
  const held = other === null ? undefined : beside.data;
  return (
    <Page>
      <PageHead>
        <Title>{say("joinPage.title")}</Title>
        <QuietLink to={`/clients/${id}`}>
          {page.data ? say("joinPage.back", { name: page.data.client.name }) : say("joinPage.backPlain")}
        </QuietLink>
      </PageHead>
      {problem ? <Notice tone="wrong">{refusal(problem)?.message}</Notice> : null}
      {join.isSuccess && other === null ? (
        <div style={{ marginBottom: "1.5rem" }} role="status">
          <Notice>{say("joinPage.done")}</Notice>
        </div>
      ) : null}
      {held && me.data ? (
        <Section>
          <Beside beside={held} locale={me.data.gym.locale} />
          <Options style={{ marginTop: "1rem" }}>
            <PrimaryButton isDisabled={join.isPending || held.in_the_way.length > 0} onPress={() => join.mutate(held)}>
              {say("joinPage.join", { name: held.kept.name })}
            </PrimaryButton>
            <SecondaryButton onPress={() => choose(null)}>{say("joinPage.another")}</SecondaryButton>
          </Options>
          <Small>{say("joinPage.note")}</Small>
        </Section>
      ) : (
        <Section style={{ maxWidth: "36rem" }}>
          <ClientPicker label={say("joinPage.find")} without={[id]} onPick={choose} />
        </Section>
      )}
      {joins.data && me.data ? <Joined id={id} joins={joins.data} locale={me.data.gym.locale} /> : null}
    </Page>
  );
}
