// What a client decided of what is kept of them: agreed or withdrawn, whether they teach, put away because they left.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { gymQuery } from "../../api/queries";
import type { ClientPage } from "../../api/types";
import { dayText } from "../../lib/dates";
import { say } from "../../lib/say";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { Tick } from "../../ui/Tick";
import { space } from "../../ui/tokens";

const Lines = styled.div`
  display: grid;
  gap: ${space(3)};
  justify-items: start;
`;

type Chosen = { consent?: boolean; teaches?: boolean; away?: boolean };
type Props = { page: ClientPage; locale: string };

export function ClientChoices({ page, locale }: Props) {
  const { client, choices } = page;
  const queryClient = useQueryClient();
  const choose = useMutation({
    mutationFn: (chosen: Chosen) =>
      unwrap(
        api.PUT("/api/clients/{id}/choices", {
          params: { path: { id: client.id }, header: newKey() },
          body: { version: client.version, ...chosen },
        }),
      ),
    onSuccess: (kept) => {
      queryClient.setQueryData<ClientPage>(
        keys.client(client.id),
        (now) => now && { ...now, client: { ...now.client, ...kept.client }, choices: kept.choices },
      );
      void queryClient.invalidateQueries({ queryKey: keys.clients });
    },
  });
  const busy = choose.isPending;
  return (
    <Section aria-labelledby="choices" data-choices>
      <SectionTitle id="choices">{say("clientChoices.title")}</SectionTitle>
      {choose.error ? <Notice tone="wrong">{refusal(choose.error)?.message}</Notice> : null}
      <Lines>
        <Consent choices={choices} locale={locale} busy={busy} onChoose={choose.mutate} />
        <Tick isSelected={choices.teaches} isDisabled={busy} onChange={(teaches) => choose.mutate({ teaches })}>
          {say("clientChoices.teaches")}
        </Tick>
        {choices.away_since ? (
          <SecondaryButton isDisabled={busy} onPress={() => choose.mutate({ away: false })}>
            {say("clientChoices.back", { day: dayText(choices.away_since, locale) })}
          </SecondaryButton>
        ) : (
          <SecondaryButton isDisabled={busy} onPress={() => choose.mutate({ away: true })}>
            {say("clientChoices.putAway")}
          </SecondaryButton>
        )}
        <Small>{say("clientChoices.note")}</Small>
      </Lines>
    </Section>
  );
}

type ConsentProps = {
  choices: ClientPage["choices"];
  locale: string;
  busy: boolean;
  onChoose: (chosen: Chosen) => void;
};

/** The gym's words are read out before anybody agrees to them. */
function Consent({ choices: { consent }, locale, busy, onChoose }: ConsentProps) {
  const [asking, setAsking] = useState(false);
  const gym = useQuery(gymQuery);
  const words = gym.data?.consent_text ?? "";
  const stands = consent !== null && consent.withdrawn_on === null;
  return (
    <>
      {consent ? (
        <p>
          {stands
            ? say("clientChoices.agreed", { day: dayText(consent.day, locale) })
            : say("clientChoices.withdrew", { day: dayText(consent.withdrawn_on ?? consent.day, locale) })}{" "}
          <Small>“{consent.text}”</Small>
        </p>
      ) : (
        <p>{words ? say("clientChoices.notAsked") : say("clientChoices.noWords")}</p>
      )}
      {stands ? (
        <SecondaryButton isDisabled={busy} onPress={() => onChoose({ consent: false })}>
          {say("clientChoices.withdraw")}
        </SecondaryButton>
      ) : words ? (
        <SecondaryButton isDisabled={busy} onPress={() => setAsking(true)}>
          {say("clientChoices.ask")}
        </SecondaryButton>
      ) : null}
      <Dialogue title={say("clientChoices.askTitle")} isOpen={asking} onClose={() => setAsking(false)}>
        <p style={{ marginBottom: "1rem" }}>{words}</p>
        <PrimaryButton
          isDisabled={busy}
          onPress={() => {
            setAsking(false);
            onChoose({ consent: true });
          }}
        >
          {say("clientChoices.agrees")}
        </PrimaryButton>
      </Dialogue>
    </>
  );
}
