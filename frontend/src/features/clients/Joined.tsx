// The records that were joined into a client's, each to be taken apart again.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, newKey, refusal, unwrap } from "../../api/client";
import type { Joins } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Options, Section, SectionTitle, Small } from "../../ui/Page";

export function Joined({ id, joins, locale }: { id: string; joins: Joins; locale: string }) {
  const queryClient = useQueryClient();
  const apart = useMutation({
    mutationFn: (other: string) =>
      unwrap(
        api.POST("/api/clients/{id}/joins/removal", {
          params: { path: { id }, header: newKey() },
          body: { other, version: joins.client.version },
        }),
      ),
    onSettled: () => queryClient.invalidateQueries(),
  });
  if (joins.joined.length === 0 && !apart.isSuccess) return null;
  return (
    <Section aria-labelledby="joined" data-joined>
      <SectionTitle id="joined">{say("joined.title")}</SectionTitle>
      {apart.error ? <Notice tone="wrong">{refusal(apart.error)?.message}</Notice> : null}
      {apart.isSuccess && !apart.isPending ? (
        <div style={{ marginBottom: "1rem" }} role="status">
          <Notice>{say("joined.apart")}</Notice>
        </div>
      ) : null}
      {joins.joined.map((one) => (
        <Options key={one.id}>
          <span>
            {one.name}{" "}
            <Small>{[one.detail, momentText(one.joined_at, locale), one.by].filter(Boolean).join(" · ")}</Small>
          </span>
          <SecondaryButton
            aria-label={say("joined.buttonName", { name: one.name })}
            isDisabled={apart.isPending}
            onPress={() => apart.mutate(one.id)}
          >
            {say("joined.takeApart")}
          </SecondaryButton>
        </Options>
      ))}
      <Small>{say("joined.note")}</Small>
    </Section>
  );
}
