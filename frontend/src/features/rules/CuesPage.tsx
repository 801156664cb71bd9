// What is said that helps: by sign and by place, what helped most here first; the gym's own beside it.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { cuesQuery } from "../../api/queries";
import type { Cue, CueTable } from "../../api/types";
import { useMay } from "../shared/useMay";
import { PrimaryButton, QuietButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Title } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { useTitle } from "../../ui/useTitle";
import { breakpoint, space, target } from "../../ui/tokens";

const Form = styled.form`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.6fr) auto;
  gap: ${space(4)};
  align-items: end;
  margin-bottom: ${space(6)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 11rem 6rem;
  gap: ${space(3)};
  align-items: center;
  min-height: ${target.least};
  padding: ${space(1)} ${space(4)};
  > :last-child {
    justify-self: end;
  }
`;
const LONGEST = 120;

export function CuesPage() {
  useTitle(say("cuesPage.title"));
  const table = useQuery(cuesQuery);
  const may = useMay();
  const queryClient = useQueryClient();
  const kept = (now: CueTable) => queryClient.setQueryData(cuesQuery.queryKey, now);
  const add = useMutation({
    mutationFn: (body: { words: string; about: string }) =>
      unwrap(api.POST("/api/cues", { params: { header: newKey() }, body })),
    onSuccess: kept,
  });
  const retire = useMutation({
    mutationFn: (name: string) =>
      unwrap(api.POST("/api/cues/removal", { params: { header: newKey() }, body: { cue: name } })),
    onSuccess: kept,
  });
  const [words, setWords] = useState("");
  const [about, setAbout] = useState<string | null>(null);
  if (!table.data) return null;
  const { abouts } = table.data;
  const chosen = about ?? abouts[0]?.about ?? "";
  const wrong = refusal(add.error ?? retire.error);
  return (
    <Page>
      <PageHead>
        <Title>{say("cuesPage.title")}</Title>
        <Muted>{say("cuesPage.hint")}</Muted>
        <SecondaryLink to="/rules" style={{ marginLeft: "auto" }}>
          {say("houseRulesPage.houseRules")}
        </SecondaryLink>
      </PageHead>
      {wrong ? <Notice tone="wrong">{wrong.message}</Notice> : null}
      {may("addCue") ? (
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            add.mutate({ words, about: chosen }, { onSuccess: () => setWords("") });
          }}
        >
          <Select
            label={say("cuesPage.about")}
            options={abouts.map((one) => [one.about, one.title] as const)}
            value={chosen}
            onChange={setAbout}
          />
          <Field
            label={say("cuesPage.words")}
            value={words}
            maxLength={LONGEST}
            autoComplete="off"
            onChange={setWords}
          />
          <PrimaryButton type="submit" isDisabled={add.isPending || words.trim() === ""}>
            {say("cuesPage.add")}
          </PrimaryButton>
        </Form>
      ) : null}
      {abouts.map((one) => (
        <Section key={one.about} aria-labelledby={`about-${one.about}`} data-about={one.about}>
          <SectionTitle id={`about-${one.about}`}>{one.title}</SectionTitle>
          <Rows>
            {one.cues.map((cue) => (
              <Row key={cue.name}>
                <span>“{cue.words}”</span>
                <Small>{counted(cue)}</Small>
                {cue.own && may("retireCue") ? (
                  <QuietButton
                    isDisabled={retire.isPending}
                    aria-label={say("cuesPage.takeOutNamed", { words: cue.words })}
                    onPress={() => retire.mutate(cue.name)}
                  >
                    {say("cuesPage.takeOut")}
                  </QuietButton>
                ) : (
                  <span />
                )}
              </Row>
            ))}
          </Rows>
        </Section>
      ))}
    </Page>
  );
}

const counted = ({ own, helped, tried }: Cue) =>
  [own ? say("cuesPage.own") : "", tried > 0 ? say("cues.counted", { helped, tried }) : ""].filter(Boolean).join(", ");
