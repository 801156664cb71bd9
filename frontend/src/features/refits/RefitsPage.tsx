// Settings that should be looked at again, the weightiest reason first: fit again, or put off with a reason.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { api, complaintAt, newKey, refusal, unwrap } from "../../api/client";
import { meQuery, refitsQuery } from "../../api/queries";
import type { Refit } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton, SecondaryButton, secondary } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Dialogue } from "../../ui/Dialogue";
import { Field } from "../../ui/Field";
import { SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Rows, Small, Title } from "../../ui/Page";
import { breakpoint, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { Due } from "../shared/Due";
import { useOpenFitting } from "../shared/useOpenFitting";

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space(3)} ${space(4)};
  align-items: center;
  padding: ${space(3)} ${space(4)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Ends = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;
const CalendarLink = styled.a`
  ${secondary}
  margin-left: auto;
`;
const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  justify-items: start;
`;
const EVERY = 99;

export function RefitsPage() {
  useTitle(say("refitsPage.due"));
  const refits = useQuery(refitsQuery);
  const me = useQuery(meQuery);
  const [later, setLater] = useState<Refit | null>(null);
  if (refits.error)
    return (
      <Page>
        <PageHead>
          <Title>{say("refitsPage.due")}</Title>
        </PageHead>
        <Notice tone="wrong">{refusal(refits.error)?.message ?? say("refitsPage.couldNotBeOpened")}</Notice>
      </Page>
    );
  if (!refits.data || !me.data) return null;
  const { due, of } = refits.data;
  return (
    <Page>
      <PageHead>
        <Title>{say("refitsPage.due")}</Title>
        <Muted>{say("refitsPage.hint")}</Muted>
        <CalendarLink href="/api/refits.ics" download>
          {say("refitsPage.calendarLink")}
        </CalendarLink>
      </PageHead>
      {due.length === 0 ? <Empty>{say("refitsPage.nothingDue")}</Empty> : null}
      <Rows aria-label={say("refitsPage.due")}>
        {due.map((one) => (
          <One key={one.fitting_id} due={one} locale={me.data.gym.locale} onLater={() => setLater(one)} />
        ))}
      </Rows>
      {of > due.length ? <Small>{say("refitsPage.ofThem", { count: due.length, of })}</Small> : null}
      {later ? <Later due={later} onClose={() => setLater(null)} /> : null}
    </Page>
  );
}

function One({ due, locale, onLater }: { due: Refit; locale: string; onLater: () => void }) {
  const opening = useOpenFitting(due.client.id);
  return (
    <Row data-due={`${due.client.name}, ${due.machine.name}`}>
      <Due due={due} locale={locale} most={EVERY} />
      <Ends>
        <SecondaryLink to={`/clients/${due.client.id}`}>{say("refitsPage.card")}</SecondaryLink>
        <SecondaryButton onPress={onLater}>{say("refitsPage.later")}</SecondaryButton>
        {due.bars.length === 0 ? (
          <SecondaryButton
            isDisabled={opening.isPending}
            onPress={() => opening.mutate({ machineId: due.machine.id, exercise: due.exercise })}
          >
            {say("refitsPage.fitAgain")}
          </SecondaryButton>
        ) : null}
      </Ends>
      {opening.error ? <Notice tone="wrong">{refusal(opening.error)?.message}</Notice> : null}
    </Row>
  );
}

const WEEKS = [
  ["1", say("refitsPage.aWeek")],
  ["4", say("refitsPage.fourWeeks")],
  ["12", say("refitsPage.twelveWeeks")],
] as const;

function Later({ due, onClose }: { due: Refit; onClose: () => void }) {
  const [weeks, setWeeks] = useState<(typeof WEEKS)[number][0]>("4");
  const [reason, setReason] = useState("");
  const queryClient = useQueryClient();
  const put = useMutation({
    mutationFn: () =>
      unwrap(
        api.PUT("/api/refits/snooze", {
          params: { header: newKey() },
          body: {
            client_id: due.client.id,
            machine_id: due.machine.id,
            exercise: due.exercise,
            weeks: Number(weeks),
            reason,
          },
        }),
      ),
    onSuccess: (now) => {
      queryClient.setQueryData(refitsQuery.queryKey, now);
      onClose();
    },
  });
  const complaint = complaintAt(put.error, "/reason");
  return (
    <Dialogue
      title={say("refitsPage.laterFor", { client: due.client.name, machine: due.machine.name })}
      isOpen
      onClose={onClose}
    >
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          put.mutate();
        }}
      >
        <Choice label={say("refitsPage.howLong")} options={WEEKS} value={weeks} onChange={setWeeks} />
        <Field
          label={say("refitsPage.snoozeReason")}
          hint={say("refitsPage.keptEncrypted")}
          value={reason}
          onChange={setReason}
          maxLength={300}
          autoComplete="off"
          complaint={complaint}
          style={{ width: "100%" }}
        />
        <PrimaryButton type="submit" isDisabled={put.isPending || reason.trim() === ""}>
          {say("refitsPage.putOff")}
        </PrimaryButton>
        {put.error && !complaint ? <Notice tone="wrong">{refusal(put.error)?.message}</Notice> : null}
      </Sheet>
    </Dialogue>
  );
}
