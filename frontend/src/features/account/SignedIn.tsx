import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import styled from "styled-components";
import { postAuth, refusal } from "../../api/client";
import { ownSessionsQuery } from "../../api/queries";
import { timeText } from "../../lib/dates";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { space } from "../../ui/tokens";

const Row = styled.li`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: ${space(4)};
  padding: ${space(3)} ${space(4)};
`;
const Told = styled.span`
  display: grid;
`;

/** Where one is signed in, the last used first; each can be ended, and all but this one. */
export function SignedIn({ locale }: { locale: string }) {
  const own = useQuery(ownSessionsQuery);
  const queryClient = useQueryClient();
  const end = useMutation({
    mutationFn: (session: string | null) => postAuth("sessions/end", session === null ? {} : { session }),
    onSettled: () => queryClient.invalidateQueries({ queryKey: ownSessionsQuery.queryKey }),
  });
  if (!own.data) return null;
  const others = own.data.filter(({ here }) => !here);
  return (
    <Section>
      <SectionTitle>{say("signedIn.title")}</SectionTitle>
      {end.error ? <Notice tone="wrong">{refusal(end.error)?.message}</Notice> : null}
      <Rows aria-label={say("signedIn.title")}>
        {own.data.map(({ session, device, since, last, here }) => {
          const name = device || say("signedIn.unnamed");
          return (
            <Row key={session}>
              <Told>
                <Strong>{here ? say("signedIn.here", { device: name }) : name}</Strong>
                <Small>{say("signedIn.times", { since: timeText(since, locale), last: timeText(last, locale) })}</Small>
              </Told>
              {here ? null : (
                <SecondaryButton
                  aria-label={say("signedIn.endOn", { device: name })}
                  isDisabled={end.isPending}
                  onPress={() => end.mutate(session)}
                >
                  {say("signedIn.end")}
                </SecondaryButton>
              )}
            </Row>
          );
        })}
      </Rows>
      {others.length > 1 ? (
        <p style={{ marginTop: "1rem" }}>
          <SecondaryButton isDisabled={end.isPending} onPress={() => end.mutate(null)}>
            {say("signedIn.endOthers")}
          </SecondaryButton>
        </p>
      ) : null}
    </Section>
  );
}
