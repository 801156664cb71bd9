// Of whom nothing was written for as long as the gym keeps what it keeps: told by name, and erased together, confirmed by their number.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import { Link } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { pastTheirTimeQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Empty, Section, SectionTitle, Small } from "../../ui/Page";
import { Tick } from "../../ui/Tick";
import { space } from "../../ui/tokens";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  justify-items: start;
  margin-top: ${space(3)};
`;

export function PastTheirTime({ years }: { years: number }) {
  const found = useQuery(pastTheirTimeQuery);
  const [number, setNumber] = useState("");
  const [keepMarks, setKeepMarks] = useState(true);
  const queryClient = useQueryClient();
  const clients = found.data?.clients ?? [];
  const erase = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/past-their-time/erasure", {
          params: { header: newKey() },
          body: { ids: clients.map(({ id }) => id), number: Number(number), keep_marks: keepMarks },
        }),
      ),
    onSuccess: () => setNumber(""),
    onSettled: () => queryClient.invalidateQueries(),
  });
  if (!found.data) return null;
  return (
    <Section style={{ marginTop: "3rem" }}>
      <SectionTitle>{say("pastTheirTime.title")}</SectionTitle>
      {clients.length === 0 ? (
        <Empty>{say("pastTheirTime.nobody", { years })}</Empty>
      ) : (
        <>
          <Small>{say("pastTheirTime.nothingSince", { years })}</Small>
          <ul>
            {clients.map(({ id, name, detail }) => (
              <li key={id}>
                <Link to={`/clients/${id}`}>{name}</Link> <Small>{detail}</Small>
              </li>
            ))}
          </ul>
          <Sheet
            onSubmit={(event) => {
              event.preventDefault();
              erase.mutate();
            }}
          >
            <Tick isSelected={keepMarks} onChange={setKeepMarks}>
              {say("belongings.keepMarks")}
            </Tick>
            <Field
              label={say("pastTheirTime.typeTheNumber", { count: clients.length })}
              value={number}
              onChange={setNumber}
              inputMode="decimal"
              autoComplete="off"
            />
            <SecondaryButton type="submit" isDisabled={erase.isPending || number.trim() !== String(clients.length)}>
              {say("pastTheirTime.erase")}
            </SecondaryButton>
            {erase.error ? <Notice tone="wrong">{refusal(erase.error)?.message}</Notice> : null}
          </Sheet>
        </>
      )}
    </Section>
  );
}
