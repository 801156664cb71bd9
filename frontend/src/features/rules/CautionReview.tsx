// Which clinician reviewed the table of cautions that the gym works with, and when. Written by whoever leads the gym.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useState } from "react";
import { Form } from "react-aria-components";
import { useLocation } from "react-router";
import styled from "styled-components";
import { api, complaintAt, newKey, refusal, standing, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { gymQuery, meQuery } from "../../api/queries";
import type { GymSettings } from "../../api/types";
import { dayText } from "../../lib/dates";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { May } from "../shared/May";

const Sheet = styled(Form)`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(4)};
  align-items: end;
  margin-top: ${space(3)};
`;

const NAME = "cautions";

export function CautionReview() {
  const gym = useQuery(gymQuery);
  const me = useQuery(meQuery);
  const { hash } = useLocation();
  // Who was sent here by its address sees it; the page above it is long.
  const shown = useCallback(
    (part: HTMLElement | null) => (hash === `#${NAME}` ? part?.scrollIntoView() : undefined),
    [hash],
  );
  if (!gym.data || !me.data) return null;
  const { cautions_reviewed_by: by, cautions_reviewed_on: on } = gym.data;
  return (
    <Section id={NAME} ref={shown} style={{ marginTop: space(8) }}>
      <SectionTitle>{say("cautionReview.title")}</SectionTitle>
      {on ? (
        <p>{say("cautionReview.by", { by, day: dayText(on, me.data.gym.locale) })}</p>
      ) : (
        <Notice tone="wrong">{say("cautionReview.open")}</Notice>
      )}
      <May ask="signCautions">
        <Sign version={gym.data.version} />
      </May>
    </Section>
  );
}

function Sign({ version }: { version: number }) {
  const [by, setBy] = useState("");
  const queryClient = useQueryClient();
  const sign = useMutation({
    mutationFn: () =>
      unwrap(api.PUT("/api/gym/caution-review", { params: { header: newKey() }, body: { by, version } })),
    onSuccess: (kept) => {
      setBy("");
      queryClient.setQueryData(gymQuery.queryKey, kept);
      void queryClient.invalidateQueries({ queryKey: keys.beginnings });
    },
    onError: (thrown) => {
      const now = standing<GymSettings>(thrown);
      if (now) queryClient.setQueryData(gymQuery.queryKey, now);
    },
  });
  const atField = complaintAt(sign.error, "/by");
  return (
    <>
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          sign.mutate();
        }}
      >
        <Field
          label={say("cautionReview.name")}
          hint={say("cautionReview.hint")}
          value={by}
          onChange={setBy}
          maxLength={80}
          isRequired
          autoComplete="off"
          complaint={atField}
        />
        <SecondaryButton type="submit" isDisabled={sign.isPending}>
          {say("cautionReview.sign")}
        </SecondaryButton>
      </Sheet>
      {sign.error && !atField ? <Notice tone="wrong">{refusal(sign.error)?.message}</Notice> : null}
    </>
  );
}
