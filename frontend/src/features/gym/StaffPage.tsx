// Who works here: asked in, given a role, signed out, closed. For whoever leads the gym.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { colleaguesQuery, meQuery } from "../../api/queries";
import type { Colleague, Role, StaffLink } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { QuietButton, SecondaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { breakpoint, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { ROLES, roleTitle } from "../shared/roles";
import { Invite } from "./Invite";
import { LinkToGive } from "../shared/LinkToGive";

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 5fr) 11rem minmax(0, 6fr);
  gap: ${space(2)} ${space(4)};
  align-items: center;
  padding: ${space(3)} ${space(4)};
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Told = styled.span`
  display: grid;
`;
const Ways = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  justify-content: flex-end;
`;
const OPTIONS = ROLES.map((role) => [role, roleTitle(role)] as const);

export function StaffPage() {
  useTitle(say("staffPage.title"));
  const colleagues = useQuery(colleaguesQuery);
  const me = useQuery(meQuery);
  if (!colleagues.data || !me.data) return null;
  const locale = me.data.gym.locale;
  return (
    <Page>
      <PageHead>
        <Title>{say("staffPage.title")}</Title>
        <Muted>{say("staffPage.hint")}</Muted>
        <SecondaryLink to="/gym" style={{ marginLeft: "auto" }}>
          {say("houseRulesPage.theGym")}
        </SecondaryLink>
      </PageHead>
      <Invite locale={locale} />
      <Everybody staff={colleagues.data.staff} locale={locale} />
      <Asked invitations={colleagues.data.invitations} locale={locale} />
    </Page>
  );
}

type Change =
  { to: "role"; person: Colleague; role: Role } | { to: "closing" | "opening" | "sign-out"; person: Colleague };

const send = (change: Change) => {
  const params = { path: { account: change.person.id }, header: newKey() };
  const { version } = change.person;
  if (change.to === "role")
    return unwrap(api.PUT("/api/staff/{account}/role", { params, body: { role: change.role, version } }));
  if (change.to === "sign-out") return unwrap(api.POST("/api/staff/{account}/sign-out", { params, body: {} }));
  return change.to === "closing"
    ? unwrap(api.POST("/api/staff/{account}/closing", { params, body: { version } }))
    : unwrap(api.POST("/api/staff/{account}/opening", { params, body: { version } }));
};

function Everybody({ staff, locale }: { staff: readonly Colleague[]; locale: string }) {
  const queryClient = useQueryClient();
  const [closing, setClosing] = useState<Colleague | null>(null);
  const [given, setGiven] = useState<{ link: StaffLink; name: string } | null>(null);
  const change = useMutation({
    mutationFn: send,
    onSettled: async () => {
      setClosing(null);
      await queryClient.invalidateQueries({ queryKey: keys.colleagues });
    },
  });
  const reset = useMutation({
    mutationFn: (person: Colleague) =>
      unwrap(
        api.POST("/api/staff/{account}/reset", {
          params: { path: { account: person.id }, header: newKey() },
          body: {},
        }),
      ),
    onSuccess: (link, { name }) => setGiven({ link, name }),
  });
  const busy = change.isPending || reset.isPending;
  const problem = refusal(change.error ?? reset.error);
  return (
    <Section>
      <SectionTitle>{say("staffPage.everybody")}</SectionTitle>
      {problem ? <Notice tone="wrong">{problem.message}</Notice> : null}
      <Rows aria-label={say("staffPage.everybody")}>
        {staff.map((person) => (
          <Row key={person.id} data-colleague={person.name}>
            <Told>
              <Strong>{person.me ? say("staffPage.you", { name: person.name }) : person.name}</Strong>
              <Small>{person.email}</Small>
              <Small>{person.open ? signedIn(person, locale) : say("staffPage.closed")}</Small>
              {person.open && person.devices?.length ? <Small>{person.devices.join(" · ")}</Small> : null}
            </Told>
            {person.open ? (
              <Select
                label={say("staffPage.roleOf", { name: person.name })}
                hiddenLabel
                options={OPTIONS}
                value={person.role}
                onChange={(role) => change.mutate({ to: "role", person, role })}
              />
            ) : (
              <span>{roleTitle(person.role)}</span>
            )}
            <Ways>
              {person.open ? (
                <>
                  <QuietButton isDisabled={busy} onPress={() => reset.mutate(person)}>
                    {say("staffPage.newPassword")}
                  </QuietButton>
                  {(person.sessions ?? 0) > 0 && !person.me ? (
                    <QuietButton isDisabled={busy} onPress={() => change.mutate({ to: "sign-out", person })}>
                      {say("staffPage.signOut")}
                    </QuietButton>
                  ) : null}
                  <QuietButton isDisabled={busy} onPress={() => setClosing(person)}>
                    {say("staffPage.close")}
                  </QuietButton>
                </>
              ) : (
                <SecondaryButton isDisabled={busy} onPress={() => change.mutate({ to: "opening", person })}>
                  {say("staffPage.open")}
                </SecondaryButton>
              )}
            </Ways>
          </Row>
        ))}
      </Rows>
      {given ? <LinkToGive {...given} locale={locale} /> : null}
      {closing ? (
        <Dialogue isOpen title={say("staffPage.closeTitle", { name: closing.name })} onClose={() => setClosing(null)}>
          <p>{say("staffPage.closeHint")}</p>
          <p style={{ marginTop: "1rem" }}>
            <SecondaryButton isDisabled={busy} onPress={() => change.mutate({ to: "closing", person: closing })}>
              {say("staffPage.closeName", { name: closing.name })}
            </SecondaryButton>
          </p>
        </Dialogue>
      ) : null}
    </Section>
  );
}

const signedIn = ({ sessions, last }: Colleague, locale: string): string =>
  sessions ? onDevices(sessions, momentText(last ?? null, locale)) : say("staffPage.nowhere");

type Invitation = { id: string; name: string; email: string; role: Role; ends_at: string | null };

/** Who was asked and has not come yet. */
function Asked({ invitations, locale }: { invitations: readonly Invitation[]; locale: string }) {
  const queryClient = useQueryClient();
  const withdraw = useMutation({
    mutationFn: (id: string) =>
      unwrap(api.POST("/api/staff/invitations/{id}/removal", { params: { path: { id }, header: newKey() }, body: {} })),
    onSettled: () => queryClient.invalidateQueries({ queryKey: keys.colleagues }),
  });
  if (invitations.length === 0) return null;
  return (
    <Section>
      <SectionTitle>{say("staffPage.asked")}</SectionTitle>
      <Rows aria-label={say("staffPage.asked")}>
        {invitations.map(({ id, name, email, role, ends_at }) => (
          <Row key={id}>
            <Told>
              <Strong>{name}</Strong>
              <Small>{email}</Small>
            </Told>
            <span>{roleTitle(role)}</span>
            <Ways>
              <Small>{say("staffPage.until", { time: momentText(ends_at, locale) })}</Small>
              <QuietButton isDisabled={withdraw.isPending} onPress={() => withdraw.mutate(id)}>
                {say("staffPage.withdraw")}
              </QuietButton>
            </Ways>
          </Row>
        ))}
      </Rows>
    </Section>
  );
}

const onDevices = (count: number, time: string): string =>
  count === 1 ? say("staffPage.onOne", { time }) : say("staffPage.onMany", { count, time });
