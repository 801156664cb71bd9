import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { clientLinksQuery } from "../../api/queries";
import type { StaffLink } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { QuietButton, SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Rows, Section, SectionTitle, Small } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { LinkToGive } from "../shared/LinkToGive";

const Row = styled.li`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: ${space(3)};
  padding: ${space(2)} ${space(4)};
`;

/** Links by which a client opens their own card on a phone: made, seen to be opened, taken back. */
export function OwnCardLinks({ id, name, locale }: { id: string; name: string; locale: string }) {
  const links = useQuery(clientLinksQuery(id));
  const queryClient = useQueryClient();
  const [given, setGiven] = useState<StaffLink | null>(null);
  const params = () => ({ path: { id }, header: newKey() });
  const make = useMutation({
    mutationFn: () => unwrap(api.POST("/api/clients/{id}/links", { params: params(), body: {} })),
    onSuccess: async (link) => {
      setGiven(link);
      await queryClient.invalidateQueries({ queryKey: clientLinksQuery(id).queryKey });
    },
  });
  const takeBack = useMutation({
    mutationFn: (link: string) =>
      unwrap(api.POST("/api/clients/{id}/links/removal", { params: params(), body: { link } })),
    onSuccess: (kept) => {
      setGiven(null);
      queryClient.setQueryData(clientLinksQuery(id).queryKey, kept);
    },
  });
  if (!links.data?.offered) return null;
  const problem = refusal(make.error ?? takeBack.error);
  return (
    <Section>
      <SectionTitle>{say("ownCardLinks.title")}</SectionTitle>
      <p style={{ marginBottom: space(3) }}>
        <Small>{say("ownCardLinks.hint")}</Small>
      </p>
      {problem ? <Notice tone="wrong">{problem.message}</Notice> : null}
      {given ? <LinkToGive link={given} name={name} locale={locale} /> : null}
      {links.data.links.length > 0 ? (
        <Rows aria-label={say("ownCardLinks.title")}>
          {links.data.links.map(({ id: link, made_at, opened_at, opened }) => (
            <Row key={link}>
              <span>
                {say("ownCardLinks.made", { day: momentText(made_at, locale) })}{" "}
                <Small>
                  {opened > 0
                    ? say("ownCardLinks.opened", { count: opened, time: momentText(opened_at, locale) })
                    : say("ownCardLinks.unopened")}
                </Small>
              </span>
              <QuietButton isDisabled={takeBack.isPending} onPress={() => takeBack.mutate(link)}>
                {say("staffPage.withdraw")}
              </QuietButton>
            </Row>
          ))}
        </Rows>
      ) : null}
      <p style={{ marginTop: space(3) }}>
        <SecondaryButton isDisabled={make.isPending} onPress={() => make.mutate()}>
          {say("ownCardLinks.make")}
        </SecondaryButton>
      </p>
    </Section>
  );
}
