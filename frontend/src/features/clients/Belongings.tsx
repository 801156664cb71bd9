// What belongs to a person: everything about them in a file, and their erasure, confirmed by typing the name. For whoever leads the gym.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { api, complaintAt, newKey, refusal, unwrap } from "../../api/client";
import { meQuery } from "../../api/queries";
import type { ClientPage } from "../../api/types";
import { say } from "../../lib/say";
import { SecondaryButton, secondary } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Field } from "../../ui/Field";
import { SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { Tick } from "../../ui/Tick";
import { space } from "../../ui/tokens";

const LEAD = "lead";
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-bottom: ${space(2)};
`;
const FileLink = styled.a`
  ${secondary}
`;
const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  justify-items: start;
`;

export function Belongings({ client }: { client: ClientPage["client"] }) {
  const me = useQuery(meQuery);
  const [asked, setAsked] = useState(false);
  if (me.data?.role !== LEAD) return null;
  return (
    <Section style={{ marginTop: "3rem" }}>
      <SectionTitle>{say("belongings.title")}</SectionTitle>
      <Ways>
        <FileLink href={`/api/clients/${client.id}/archive.json`} download>
          {say("belongings.everythingInAFile")}
        </FileLink>
        <SecondaryLink to={`/clients/${client.id}/join`}>{say("belongings.join")}</SecondaryLink>
        <SecondaryButton onPress={() => setAsked(true)}>{say("belongings.erase")}</SecondaryButton>
      </Ways>
      <Small>{say("belongings.inClear")}</Small>
      {asked ? <Erase client={client} onClose={() => setAsked(false)} /> : null}
    </Section>
  );
}

function Erase({ client, onClose }: { client: ClientPage["client"]; onClose: () => void }) {
  const [name, setName] = useState("");
  const [keepMarks, setKeepMarks] = useState(true);
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const erase = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/clients/{id}/erasure", {
          params: { path: { id: client.id }, header: newKey() },
          body: { version: client.version, name, keep_marks: keepMarks },
        }),
      ),
    onSuccess: async () => {
      await navigate("/clients");
      queryClient.clear();
    },
  });
  const complaint = complaintAt(erase.error, "/name");
  return (
    <Dialogue title={say("belongings.eraseName", { name: client.name })} isOpen onClose={onClose}>
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          erase.mutate();
        }}
      >
        <p>{say("belongings.whatGoes")}</p>
        <Tick isSelected={keepMarks} onChange={setKeepMarks}>
          {say("belongings.keepMarks")}
        </Tick>
        <Field
          label={say("belongings.confirmName", { name: client.name })}
          value={name}
          onChange={setName}
          maxLength={80}
          autoComplete="off"
          complaint={complaint}
          style={{ width: "100%" }}
        />
        <SecondaryButton type="submit" isDisabled={erase.isPending || name.trim() !== client.name}>
          {say("belongings.confirmErase")}
        </SecondaryButton>
        {erase.error && !complaint ? <Notice tone="wrong">{refusal(erase.error)?.message}</Notice> : null}
      </Sheet>
    </Dialogue>
  );
}
