// How far a client's own joints go: measured by their own movement, or what holds until somebody has.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import { useParams } from "react-router";
import styled from "styled-components";
import { keys } from "../../api/keys";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { limitsQuery, meQuery } from "../../api/queries";
import type { Gate, Limits } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { momentText } from "../../lib/dates";
import { parseSigned, wholeText } from "../../lib/lengths";
import { QuietButton, SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Rows, Small, Strong, Title } from "../../ui/Page";
import { Gates } from "../shared/Gates";
import { ReadSetByPhone } from "../shared/movement/ReadSetByPhone";
import { Typed } from "../../ui/Typed";
import { breakpoint, space } from "../../ui/tokens";

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(9rem, 1fr) minmax(0, 2fr);
  gap: ${space(4)};
  align-items: start;
  padding: ${space(4)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Read = styled(Form)`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: ${space(2)};
  align-items: start;
  > button {
    margin-top: 1.75rem;
  }
`;

/** Across both columns, under what is typed. */
const Phone = styled.div`
  grid-column: 1 / -1;
`;

type Limit = Limits["limits"][number];

export function LimitsPage() {
  const { id = "" } = useParams();
  const limits = useQuery(limitsQuery(id));
  const me = useQuery(meQuery);
  const queryClient = useQueryClient();
  useTitle(limits.data ? say("limitsPage.title", { name: limits.data.client.name }) : say("limitsPage.limits"));
  const keep = useMutation({
    mutationFn: ({ limit, reading, version }: { limit: string; reading: number | null; version: number }) =>
      unwrap(
        api.PUT("/api/clients/{id}/limits/{limit}", {
          params: { path: { id, limit }, header: newKey() },
          body: { reading, version },
        }),
      ),
    onSuccess: async (page) => {
      queryClient.setQueryData(limitsQuery(id).queryKey, page);
      await queryClient.invalidateQueries({ queryKey: keys.client(id), exact: true });
    },
    onError: () => queryClient.invalidateQueries({ queryKey: limitsQuery(id).queryKey }),
  });
  if (limits.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(limits.error)?.message ?? say("limitsPage.failed")}</Notice>
      </Page>
    );
  if (!limits.data || !me.data) return null;
  const { client } = limits.data;
  return (
    <Page>
      <PageHead>
        <Title>
          {say("limitsPage.limitsOf")} {client.name}
        </Title>
        <Muted>{say("limitsPage.safetyHint")}</Muted>
        <QuietLink to={`/clients/${id}`}>{say("limitsPage.cardLink")}</QuietLink>
      </PageHead>
      {keep.error ? <Notice tone="wrong">{refusal(keep.error)?.message}</Notice> : null}
      <Typed onTyped={() => keep.isError && keep.reset()}>
        <Rows>
          {limits.data.gates.map((gate) => (
            <Row key={gate.name}>
              <div>
                <Strong>{gate.title}</Strong>
                <p>{gate.how}</p>
              </div>
              <Held gate={gate} locale={me.data.gym.locale} />
              <Gates client={client} gates={[gate]} />
            </Row>
          ))}
          {limits.data.limits.map((limit) => (
            <Row key={limit.name} data-limit={limit.name}>
              <div>
                <Strong>{limit.title}</Strong>
                <p>{limit.how}</p>
                <Small>
                  {say("limitsPage.decides")} {limit.decides.toLowerCase()}
                </Small>
              </div>
              <Holds limit={limit} locale={me.data.gym.locale} />
              {limit.skipped.length > 0 ? (
                <Muted>
                  {say("limitsPage.notMeasured")} {limit.skipped.join(", ").toLowerCase()}
                  {say("limitsPage.notCleared")}
                </Muted>
              ) : (
                <Measure
                  limit={limit}
                  client={id}
                  locale={me.data.gym.locale}
                  busy={keep.isPending}
                  onKeep={(reading) => keep.mutate({ limit: limit.name, reading, version: client.version })}
                />
              )}
            </Row>
          ))}
        </Rows>
      </Typed>
    </Page>
  );
}

function Held({ gate, locale }: { gate: Gate; locale: string }) {
  return (
    <div>
      {gate.right === null ? say("limitsPage.notMeasured2") : gate.right ? gate.kept : gate.not_yet}
      <br />
      <Small>{gate.by && gate.at ? `${gate.by}, ${momentText(gate.at, locale)}` : null}</Small>
    </div>
  );
}

function Holds({ limit, locale }: { limit: Limit; locale: string }) {
  if (limit.measured)
    return (
      <div>
        <Strong>{wholeText(limit.measured.deg, "deg")}</Strong>
        <br />
        <Small>
          {limit.measured.by}, {momentText(limit.measured.at, locale)}
          {limit.measured.on ? `, ${limit.measured.on}` : null}
        </Small>
      </div>
    );
  return (
    <div>
      {limit.default_deg === null ? say("limitsPage.noLimit") : `${limit.default_deg}°`}
      <br />
      <Small>{say("limitsPage.notMeasured2")}</Small>
    </div>
  );
}

type MeasureProps = {
  limit: Limit;
  client: string;
  locale: string;
  busy: boolean;
  onKeep: (reading: number | null) => void;
};

function Measure({ limit, client, locale, busy, onKeep }: MeasureProps) {
  const [text, setText] = useState("");
  const [problem, setProblem] = useState<string>();
  const unit = limit.unit === "cm" ? "cm" : say("units.degrees");
  const submit = () => {
    const value = parseSigned(text);
    setProblem(value === null ? say("limitsPage.valueProblem", { unit }) : undefined);
    if (value !== null) onKeep(value);
  };
  return (
    <Read
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <Field
        label={`${limit.title}, ${unit}`}
        value={text}
        onChange={setText}
        inputMode="decimal"
        autoComplete="off"
        complaint={problem}
      />
      <SecondaryButton type="submit" isDisabled={busy}>
        {say("limitsPage.keep")}
      </SecondaryButton>
      {limit.read_on ? (
        <Phone>
          <ReadSetByPhone
            over
            locale={locale}
            make={() =>
              unwrap(
                api.POST("/api/clients/{id}/limits/{limit}/movements", {
                  params: { path: { id: client, limit: limit.name }, header: newKey() },
                  body: {},
                }),
              )
            }
          >
            {(over, close) => (
              <>
                <SecondaryButton
                  onPress={() => {
                    setText(String(Math.floor(over.furthest_deg ?? 0)));
                    close(true);
                  }}
                >
                  {say("limitsPage.fillIn")}
                </SecondaryButton>
                <QuietButton onPress={() => close(true)}>{say("readByPhone.forget")}</QuietButton>
              </>
            )}
          </ReadSetByPhone>
        </Phone>
      ) : null}
      {limit.measured ? <QuietButton onPress={() => onKeep(null)}>{say("limitsPage.forgetIt")}</QuietButton> : null}
    </Read>
  );
}
