import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { api, complaintAt, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import type { Role, StaffLink } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { breakpoint, space } from "../../ui/tokens";
import { roleHint, ROLES, roleTitle } from "../shared/roles";
import { LinkToGive } from "../shared/LinkToGive";

const Sheet = styled(Form)`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
  gap: ${space(4)};
  align-items: start;
  margin-bottom: ${space(4)};
  > button {
    margin-top: 1.75rem;
  }
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
    > button {
      margin-top: 0;
    }
  }
`;
const OPTIONS = ROLES.map((role) => [role, roleTitle(role)] as const);
const NOBODY = { name: "", email: "" };

/** Asks somebody to work here: a link that they open once. */
export function Invite({ locale }: { locale: string }) {
  const [typed, setTyped] = useState(NOBODY);
  const [role, setRole] = useState<Role>("instructor");
  const [given, setGiven] = useState<{ link: StaffLink; name: string } | null>(null);
  const queryClient = useQueryClient();
  const invite = useMutation({
    mutationFn: () =>
      unwrap(api.POST("/api/staff/invitations", { params: { header: newKey() }, body: { ...typed, role } })),
    onSuccess: async (link) => {
      setGiven({ link, name: typed.name.trim() });
      setTyped(NOBODY);
      await queryClient.invalidateQueries({ queryKey: keys.colleagues });
    },
  });
  const field = (name: keyof typeof NOBODY) => ({
    value: typed[name],
    onChange: (value: string) => setTyped((before) => ({ ...before, [name]: value })),
    complaint: complaintAt(invite.error, `/${name}`),
    isRequired: true,
    autoComplete: "off",
  });
  const atField = complaintAt(invite.error, "/name") ?? complaintAt(invite.error, "/email");
  return (
    <Section>
      <SectionTitle>{say("invite.title")}</SectionTitle>
      {invite.error && !atField ? <Notice tone="wrong">{refusal(invite.error)?.message}</Notice> : null}
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          invite.mutate();
        }}
      >
        <Field label={say("invite.name")} maxLength={80} {...field("name")} />
        <Field label={say("signInPage.email")} type="email" maxLength={200} {...field("email")} />
        <Select label={say("invite.role")} hint={roleHint(role)} options={OPTIONS} value={role} onChange={setRole} />
        <PrimaryButton type="submit" isDisabled={invite.isPending}>
          {say("invite.make")}
        </PrimaryButton>
      </Sheet>
      {given ? <LinkToGive {...given} locale={locale} /> : null}
    </Section>
  );
}
