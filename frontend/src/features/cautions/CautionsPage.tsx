// A client's cautions: what is known, who cleared it, what it does on the machines.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import styled from "styled-components";
import { keys } from "../../api/keys";
import { api, newKey, refusal, Refused, unwrap } from "../../api/client";
import { cautionsQuery, meQuery } from "../../api/queries";
import type { Caution, Cautions } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { dayText, momentText } from "../../lib/dates";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { AskSheet } from "./AskSheet";
import { Typed } from "../../ui/Typed";
import type { CautionFields } from "../../model/cautionDraft";
import { CautionForm } from "./CautionForm";
import { cautionWords } from "../shared/CautionLines";
import { May } from "../shared/May";
import { useMay } from "../shared/useMay";
import { Sharing } from "./Sharing";
import { TakeOut } from "./TakeOut";

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: ${space(2)} ${space(4)};
  padding: ${space(4)};
`;

export function CautionsPage() {
  const { id = "" } = useParams();
  const page = useQuery({ ...cautionsQuery(id), refetchOnWindowFocus: false });
  const me = useQuery(meQuery);
  const [open, setOpen] = useState<Caution | "new" | null>(null);
  const [mistaken, setMistaken] = useState(false);
  const [again, setAgain] = useState(false);
  const may = useMay();
  const queryClient = useQueryClient();
  useTitle(
    page.data ? say("cautionsPage.cautionsName", { name: page.data.client.name }) : say("cautionsPage.cautions"),
  );
  const done = (kept: Cautions) => {
    setOpen(null);
    setMistaken(false);
    setAgain(false);
    queryClient.setQueryData(cautionsQuery(id).queryKey, kept);
    void queryClient.invalidateQueries({ queryKey: keys.client(id) });
  };
  const onError = (thrown: unknown) => {
    if (thrown instanceof Refused && thrown.status === 409)
      void queryClient.invalidateQueries({ queryKey: cautionsQuery(id).queryKey });
  };
  const params = () => ({ path: { id }, header: newKey() });
  const keep = useMutation({
    mutationFn: (body: { caution: string; version: number | null } & CautionFields) =>
      unwrap(api.PUT("/api/clients/{id}/cautions", { params: params(), body })),
    onSuccess: done,
    onError,
  });
  const ask = useMutation({
    mutationFn: (body: { seen: string[]; none: boolean; version: number }) =>
      unwrap(api.POST("/api/clients/{id}/cautions/asking", { params: params(), body })),
    onSuccess: done,
    onError,
  });
  const takeOut = useMutation({
    mutationFn: (body: { caution: string; version: number; reason: string }) =>
      unwrap(api.POST("/api/clients/{id}/cautions/removal", { params: params(), body })),
    onSuccess: done,
    onError,
  });
  const putBack = useMutation({
    mutationFn: ({ name, version }: { name: string; version: number }) =>
      unwrap(api.POST("/api/clients/{id}/cautions/return", { params: params(), body: { caution: name, version } })),
    onSuccess: done,
    onError,
  });
  if (!page.data || !me.data) return null;
  const { client, asked, cautions, removed, kinds, motions } = page.data;
  const locale = me.data.gym.locale;
  const free = kinds.filter(
    ({ name, asked: offered }) => offered && !cautions.some((caution) => caution.name === name),
  );
  const close = () => {
    keep.reset();
    takeOut.reset();
    setOpen(null);
    setMistaken(false);
  };
  const AddButton = asked.due || again ? SecondaryButton : PrimaryButton;
  return (
    <Page>
      <PageHead>
        <Title>
          {say("cautionsPage.cautions2")} {client.name}
        </Title>
        <Muted>{say("cautionsPage.knownHint")}</Muted>
        <QuietLink to={`/clients/${id}`}>{say("cautionsPage.cardLink")}</QuietLink>
      </PageHead>
      <div style={{ marginBottom: "1.25rem" }}>
        <Notice>{say("cautionsPage.startingPoint")}</Notice>
      </div>
      <Section style={{ marginBottom: space(5) }}>
        <SectionTitle>
          {asked.day
            ? say("cautionsPage.askedOn", { day: dayText(asked.day, locale) })
            : say("cautionsPage.neverAsked")}
        </SectionTitle>
        {!may("askCautions") ? null : asked.due || again ? (
          <AskSheet
            key={client.version}
            kinds={kinds}
            standing={cautions
              .map(({ name }) => name)
              .filter((name) => kinds.some((kind) => kind.asked && kind.name === name))}
            busy={ask.isPending}
            thrown={ask.error}
            onAnswered={(seen, none) => ask.mutate({ seen, none, version: client.version })}
          />
        ) : (
          <SecondaryButton onPress={() => setAgain(true)}>{say("cautionsPage.askAgain")}</SecondaryButton>
        )}
      </Section>
      {cautions.length === 0 && asked.day === null ? null : cautions.length === 0 ? (
        <Empty>{say("cautionsPage.noneYet")}</Empty>
      ) : (
        <Rows>
          {cautions.map((caution) => (
            <Row key={caution.name} data-caution={caution.name}>
              <span>
                <Strong>{sentence(cautionWords(caution))}</Strong>
                <br />
                {caution.does}
                <br />
                <Small>{details(caution, locale)}</Small>
              </span>
              <SecondaryButton onPress={() => setOpen(caution)}>{say("cautionsPage.correct")}</SecondaryButton>
            </Row>
          ))}
        </Rows>
      )}
      <May ask="askCautions">
        <p style={{ marginTop: "1.25rem" }}>
          <AddButton onPress={() => setOpen("new")} isDisabled={free.length === 0}>
            {say("cautionsPage.add")}
          </AddButton>
        </p>
      </May>
      <May ask="sharing">
        <Sharing id={id} />
      </May>
      {removed.length > 0 && may("returnCaution") ? (
        <Section style={{ marginTop: space(8) }}>
          <SectionTitle>{say("cautionsPage.removedTitle")}</SectionTitle>
          {putBack.error ? (
            <Notice tone="wrong">{refusal(putBack.error)?.message ?? say("cautionsPage.restoreFailed")}</Notice>
          ) : null}
          <Rows>
            {removed.map((caution) => (
              <Row key={caution.name} data-removed={caution.name}>
                <span>
                  {sentence(cautionWords(caution))}
                  <br />
                  <Small>
                    {caution.reason} · {caution.removed_by}, {momentText(caution.removed_at, locale)}
                  </Small>
                </span>
                <SecondaryButton onPress={() => putBack.mutate(caution)} isDisabled={putBack.isPending}>
                  {say("cautionsPage.putBack")}
                </SecondaryButton>
              </Row>
            ))}
          </Rows>
        </Section>
      ) : null}
      {open ? (
        <Dialogue title={open === "new" ? say("cautionsPage.add") : open.title} isOpen onClose={close}>
          {open !== "new" && mistaken ? (
            <TakeOut
              busy={takeOut.isPending}
              thrown={takeOut.error}
              onTakeOut={(reason) => takeOut.mutate({ caution: open.name, version: open.version, reason })}
            />
          ) : (
            <Typed onTyped={() => keep.isError && keep.reset()}>
              <CautionForm
                caution={open === "new" ? null : open}
                kinds={open === "new" ? free : kinds}
                motions={motions}
                busy={keep.isPending}
                thrown={keep.error}
                onKeep={(caution, version, fields) => keep.mutate({ caution, version, ...fields })}
                onMistaken={may("removeCaution") ? () => setMistaken(true) : null}
                signedBy={me.data.role === "clinician" ? me.data.name : null}
              />
            </Typed>
          )}
        </Dialogue>
      ) : null}
    </Page>
  );
}

const sentence = (words: string) => words.replace(/^./, (letter) => letter.toUpperCase());

function details(caution: Caution, locale: string): string {
  return [
    caution.since ? say("cautionsPage.sinceDay", { day: dayText(caution.since, locale) }) : null,
    caution.cleared_on
      ? say("cautionsPage.clearance", {
          clearedby: caution.cleared_by,
          day: dayText(caution.cleared_on, locale),
        })
      : say("cautionsPage.notCleared"),
    ...(caution.degrees ?? []).map(({ says }) => says.toLowerCase()),
    caution.load_to_kg == null ? null : say("cautionsPage.loadLimit", { load: caution.load_to_kg }),
    caution.note || null,
    caution.by ? say("cautionsPage.author", { by: caution.by }) : null,
  ]
    .filter((part) => part !== null)
    .join(" · ");
}
