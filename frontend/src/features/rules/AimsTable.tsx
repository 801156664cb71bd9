// The gym's table by aim: how many sets, of how many repetitions or seconds, at which tempo, with how much rest.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { aimsQuery } from "../../api/queries";
import type { Aim, Aims } from "../../api/types";
import { say } from "../../lib/say";
import { type AimDraft, aimOf, draftOf, EMPTY } from "../../model/aimsDraft";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { useWhole } from "../shared/useWhole";

const Rows = styled.ul`
  margin: ${space(3)} 0;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  > li {
    display: grid;
    grid-template-columns: minmax(9rem, 2fr) repeat(3, minmax(5rem, 1fr)) minmax(7rem, 1.4fr) minmax(5rem, 1fr) auto;
    gap: ${space(3)};
    align-items: start;
    padding: ${space(3)} ${space(4)};
  }
  > li > button {
    margin-top: 1.75rem;
  }
  > li + li {
    border-top: 1px solid ${colour.line};
  }
  @media ${breakpoint.narrow} {
    > li {
      grid-template-columns: repeat(3, minmax(0, 1fr));
    }
  }
  @media ${breakpoint.phone} {
    > li {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    > li > :first-child {
      grid-column: 1 / -1;
    }
  }
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)};
`;
const FIELDS = ["name", "sets", "repetitions", "seconds", "tempo", "rest"] as const;
const LABELS: Record<(typeof FIELDS)[number], string> = {
  name: say("aims.aim"),
  sets: say("aims.sets"),
  repetitions: say("aims.repetitions"),
  seconds: say("aims.seconds"),
  tempo: say("aims.tempo"),
  rest: say("aims.rest"),
};
const WRONG: Record<(typeof FIELDS)[number], string> = {
  name: say("aims.aName"),
  sets: say("aims.oneToTen"),
  repetitions: say("aims.oneToAHundred"),
  seconds: say("aims.fiveToSixHundred"),
  tempo: say("aims.fourNumbers"),
  rest: say("aims.upToNineHundred"),
};
const MOST = 12;

export function AimsTable() {
  const aims = useQuery(aimsQuery);
  return aims.data ? <Typed first={aims.data} /> : null;
}

function Typed({ first }: { first: Aims }) {
  const [rows, setRows] = useState<AimDraft[]>(() => first.aims.map(draftOf));
  const [shown, setShown] = useState(false);
  const read = rows.map(aimOf);
  const keep = useWhole(first, {
    queryKey: aimsQuery.queryKey,
    put: (aims: Aim[], version) =>
      unwrap(api.PUT("/api/aims", { params: { header: newKey() }, body: { aims, version } })),
    onKept: (kept) => {
      setRows(kept.aims.map(draftOf));
      setShown(false);
    },
  });
  const change = (at: number, fields: Partial<AimDraft>) =>
    setRows(rows.map((row, index) => (index === at ? { ...row, ...fields } : row)));
  return (
    <Section style={{ marginTop: "2rem" }}>
      <SectionTitle>{say("aims.byAim")}</SectionTitle>
      <Small>{say("aims.hint")}</Small>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          setShown(true);
          const list = read.filter((row): row is Aim => typeof row !== "string");
          if (list.length === read.length) keep.mutate(list);
        }}
      >
        <Rows aria-label={say("aims.byAim")}>
          {rows.map((row, at) => (
            <li key={at}>
              {FIELDS.map((field) => (
                <Field
                  key={field}
                  label={LABELS[field]}
                  value={row[field]}
                  maxLength={30}
                  autoComplete="off"
                  complaint={shown && read[at] === field ? WRONG[field] : undefined}
                  onChange={(text) => change(at, { [field]: text })}
                />
              ))}
              <QuietButton
                aria-label={say("aims.remove", { name: row.name })}
                isDisabled={rows.length === 1}
                onPress={() => setRows(rows.filter((_, index) => index !== at))}
              >
                {say("aims.takeOut")}
              </QuietButton>
            </li>
          ))}
        </Rows>
        <Ways>
          <PrimaryButton type="submit" isDisabled={keep.isPending}>
            {say("aims.keep")}
          </PrimaryButton>
          <SecondaryButton isDisabled={rows.length >= MOST} onPress={() => setRows([...rows, EMPTY])}>
            {say("aims.another")}
          </SecondaryButton>
        </Ways>
        {keep.error ? <Notice tone="wrong">{refusal(keep.error)?.message}</Notice> : null}
        {keep.isSuccess ? <p role="status">{say("aims.kept")}</p> : null}
      </Form>
    </Section>
  );
}
