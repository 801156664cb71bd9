// The gym's own seconds by kind of machine, where they are not those of the school it chose.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { temposQuery } from "../../api/queries";
import type { FamilyTempo, Tempos } from "../../api/types";
import { say } from "../../lib/say";
import { draftOf, isTwofold, rowOf, type TempoDraft } from "../../model/temposDraft";
import { PrimaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { useWhole } from "../shared/useWhole";

const Rows = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
  gap: ${space(4)} ${space(6)};
  margin: ${space(3)} 0;
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 7rem;
    gap: ${space(3)};
    align-items: start;
  }
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const BLANK: TempoDraft = { tempo: "", degrees: "" };

export function TemposTable() {
  const tempos = useQuery(temposQuery);
  return tempos.data ? <Typed first={tempos.data} /> : null;
}

function Typed({ first }: { first: Tempos }) {
  const [rows, setRows] = useState(() => draftOf(first));
  const [shown, setShown] = useState(false);
  const rowAt = (family: string) => rows[family] ?? BLANK;
  const read = first.tempos.map(({ family }) => rowOf(family, rowAt(family)));
  const keep = useWhole(first, {
    queryKey: temposQuery.queryKey,
    put: (tempos: FamilyTempo[], version) =>
      unwrap(api.PUT("/api/tempos", { params: { header: newKey() }, body: { tempos, version } })),
    onKept: (kept) => {
      setRows(draftOf(kept));
      setShown(false);
    },
  });
  const change = (family: string, fields: Partial<TempoDraft>) =>
    setRows({ ...rows, [family]: { ...rowAt(family), ...fields } });
  return (
    <Section style={{ marginTop: "2rem" }}>
      <SectionTitle>{say("tempos.byMachine")}</SectionTitle>
      <Small>{say("tempos.hint")}</Small>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          setShown(true);
          if (read.every((row) => typeof row !== "string")) keep.mutate(read.filter((row) => row !== null));
        }}
      >
        <Rows aria-label={say("tempos.byMachine")}>
          {first.tempos.map(({ family, title, here, by_rule: tempo }, at) =>
            here || rowAt(family).tempo !== "" ? (
              <li key={family} data-tempo-of={family}>
                <Field
                  label={title}
                  hint={say("tempos.byRule", { tempo })}
                  value={rowAt(family).tempo}
                  maxLength={30}
                  autoComplete="off"
                  complaint={shown && read[at] === "tempo" ? say("tempos.wrong") : undefined}
                  onChange={(text) => change(family, { tempo: text })}
                />
                {isTwofold(rowAt(family)) ? (
                  <Field
                    label={say("tempos.degrees")}
                    inputMode="decimal"
                    value={rowAt(family).degrees}
                    maxLength={2}
                    autoComplete="off"
                    complaint={shown && read[at] === "degrees" ? say("tempos.wrongDegrees") : undefined}
                    onChange={(degrees) => change(family, { degrees })}
                  />
                ) : null}
              </li>
            ) : null,
          )}
        </Rows>
        <PrimaryButton type="submit" isDisabled={keep.isPending}>
          {say("tempos.keep")}
        </PrimaryButton>
        {keep.error ? <Notice tone="wrong">{refusal(keep.error)?.message}</Notice> : null}
        {keep.isSuccess ? <p role="status">{say("tempos.kept")}</p> : null}
      </Form>
    </Section>
  );
}
