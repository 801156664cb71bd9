// A session at work: the machine at hand large, its sets, the next changeover beside it, the pace against the plan.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { meQuery, sessionQuery } from "../../api/queries";
import type { RunningBlock, Session } from "../../api/types";
import { say } from "../../lib/say";
import type { WishEvent } from "../../model/wishes";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Title } from "../../ui/Page";
import { breakpoint, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { May } from "../shared/May";
import { AtHand } from "./AtHand";
import { blockId } from "./blocks";
import { LeftOut } from "./LeftOut";
import { Pace } from "./Pace";
import { SessionLine } from "./SessionLine";
import { UpNext } from "./UpNext";
import { useSessionChange } from "./useSessionChange";
import { useWakeLock } from "../../lib/useWakeLock";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(17rem, 1fr);
  gap: ${space(6)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Head = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-left: auto;
`;

export function RunningPage() {
  const { id = "" } = useParams();
  const session = useQuery(sessionQuery(id));
  const me = useQuery(meQuery);
  const writing = useSessionChange(id);
  const running = session.data?.state === "running";
  useWakeLock(running);
  useTitle(session.data ? say("planPage.titleOf", { name: session.data.client.name }) : say("planPage.title"));
  const [looked, look] = useState<string | null>(null);
  if (session.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(session.error)?.message}</Notice>
      </Page>
    );
  if (!session.data || !me.data) return null;
  const { client, blocks, state, minutes, stopped } = session.data;
  const current = blocks.find((block) => blockId(block) === looked) ?? currentOf(session.data);
  const tell = (event: WishEvent) => writing.change.mutate(event);
  return (
    <Page>
      <PageHead style={{ marginBottom: space(2) }}>
        <Title>
          <Link to={`/clients/${client.id}`} style={{ color: "inherit" }}>
            {client.name}
          </Link>
        </Title>
        <Muted>{say("planPage.title")}</Muted>
        <Buttons session={session.data} writing={writing} />
      </PageHead>
      {writing.problem ? <Notice tone="wrong">{writing.problem}</Notice> : null}
      {state === "running" ? <Pace session={session.data} came={session.dataUpdatedAt} /> : null}
      <SessionLine
        blocks={blocks}
        minutes={minutes}
        selected={current ? blockId(current) : null}
        onSelect={look}
        onMinutes={running ? (next) => tell({ type: "minutes", minutes: next }) : null}
        onOrder={null}
        compact={state !== "planned"}
      />
      {state === "done" ? (
        <LeftOut session={session.data} />
      ) : (
        <Columns>
          {stopped ? (
            <Notice tone="wrong">{say("runningPage.stopSign")}</Notice>
          ) : current ? (
            <AtHand key={blockId(current)} block={current} client={client.id} me={me.data} running={running} />
          ) : (
            <Empty>{say("runningPage.allDone")}</Empty>
          )}
          <UpNext session={session.data} current={current} tell={tell} busy={writing.change.isPending} />
        </Columns>
      )}
    </Page>
  );
}

const currentOf = ({ blocks, current }: Session): RunningBlock | null =>
  blocks.find((block) => block.keys.join() === current?.join()) ?? null;

type Writing = ReturnType<typeof useSessionChange>;

function Buttons({ session, writing }: { session: Session; writing: Writing }) {
  const { state, id } = session;
  const over = state === "running" && session.current === null;
  const End = over ? PrimaryButton : SecondaryButton;
  return (
    <Head>
      <May ask="sessionToPrint">
        <a href={`/api/sessions/${id}/plan.pdf`}>{say("planPage.paper")}</a>
      </May>
      {state === "planned" ? (
        <PrimaryButton onPress={() => writing.step.mutate("beginning")} isDisabled={writing.step.isPending}>
          {say("runningPage.begin")}
        </PrimaryButton>
      ) : null}
      {state === "running" ? (
        <End onPress={() => writing.step.mutate("ending")} isDisabled={writing.step.isPending}>
          {over ? say("runningPage.end") : say("runningPage.endEarly")}
        </End>
      ) : null}
    </Head>
  );
}
