// Who practised, and how it went: a lead looks, and may make a helper an instructor.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import type { Practice } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { QuietButton, SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Empty, Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { Head } from "./layout";

export function People({ people, locale }: { people: Practice["people"]; locale: string }) {
  const queryClient = useQueryClient();
  const look = useMutation({
    mutationFn: (account: number) =>
      unwrap(
        api.POST("/api/practice/people/{account}/look", { params: { path: { account }, header: newKey() }, body: {} }),
      ),
    onSuccess: (page) => queryClient.setQueryData(keys.practice, page),
  });
  const promote = useMutation({
    mutationFn: ({ id, version }: { id: number; version: number }) =>
      unwrap(
        api.PUT("/api/staff/{account}/role", {
          params: { path: { account: id }, header: newKey() },
          body: { role: "instructor", version },
        }),
      ),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: keys.practice }),
  });
  return (
    <Section>
      <SectionTitle>{say("practicePage.people")}</SectionTitle>
      {people.length === 0 ? <Empty>{say("practicePage.nobody")}</Empty> : null}
      {promote.error ? <Notice tone="wrong">{refusal(promote.error)?.message}</Notice> : null}
      <Rows>
        {people.map((person) => (
          <li key={person.id} style={{ padding: space(3) }}>
            <Head>
              <span>
                <Strong>{person.name}</Strong>{" "}
                {say("practicePage.did", { done: person.done, passed: person.passed, mean: person.mean })}
                <br />
                <Small>
                  {person.looked_by
                    ? say("practicePage.lookedBy", {
                        name: person.looked_by,
                        time: momentText(person.looked_at ?? "", locale),
                      })
                    : say("practicePage.notLooked")}
                </Small>
              </span>
              {person.me ? null : person.looked_by && person.role === "helper" ? (
                <SecondaryButton isDisabled={promote.isPending} onPress={() => promote.mutate(person)}>
                  {say("practicePage.makeInstructor")}
                </SecondaryButton>
              ) : (
                <QuietButton isDisabled={look.isPending} onPress={() => look.mutate(person.id)}>
                  {say("practicePage.lookedAt")}
                </QuietButton>
              )}
            </Head>
          </li>
        ))}
      </Rows>
    </Section>
  );
}
