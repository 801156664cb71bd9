// A session at work: the machine at hand large, its sets, the next changeover under it, the pace against the plan.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { meQuery, sessionQuery } from "../../api/queries";
import type { RunningBlock, Session } from "../../api/types";
import { say } from "../../lib/say";
import { wish, type WishEvent, type Wishes } from "../../model/wishes";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { breakpoint, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { AtHand } from "./AtHand";
import { blockId, blockName } from "./blocks";
import { Moves } from "./Moves";
import { Pace } from "./Pace";
import { SessionLine } from "./SessionLine";
import { useWakeLock } from "./useWakeLock";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(17rem, 1fr);
  gap: ${space(6)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Ways = styled.div`
  display: grid;
  gap: ${space(2)};
  margin-top: ${space(3)};
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
  const { client, blocks, state, minutes } = session.data;
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
        <Done session={session.data} />
      ) : (
        <Columns>
          {current ? (
            <AtHand key={blockId(current)} block={current} client={client.id} me={me.data} running={running} />
          ) : (
            <Empty>{say("runningPage.allDone")}</Empty>
          )}
          <Next session={session.data} current={current} tell={tell} busy={writing.change.isPending} />
        </Columns>
      )}
    </Page>
  );
}

const currentOf = ({ blocks, current }: Session): RunningBlock | null =>
  blocks.find((block) => block.keys.join() === current?.join()) ?? null;

/** Changes are made over the version that is seen; a stopped machine makes the rest anew by itself. */
function useSessionChange(id: string) {
  const queryClient = useQueryClient();
  const key = keys.session(id);
  const shown = (session: Session) => queryClient.setQueryData(key, session);
  const seen = () => queryClient.getQueryData<Session>(key);
  const onError = () => queryClient.invalidateQueries({ queryKey: key });
  const change = useMutation({
    mutationFn: (event: WishEvent | null) => {
      const session = seen();
      if (!session) throw new Error("no session");
      const {
        programme_id: _programme,
        day: _day,
        ...wishes
      } = event ? wish(wishesOf(session), event) : wishesOf(session);
      return unwrap(
        api.PUT("/api/sessions/{id}", {
          params: { path: { id }, header: newKey() },
          body: { ...wishes, version: session.version },
        }),
      );
    },
    onSuccess: shown,
    onError,
  });
  const step = useMutation({
    mutationFn: (to: "beginning" | "ending") => {
      const params = { path: { id }, header: newKey() };
      const body = { version: seen()?.version ?? 1 };
      return to === "beginning"
        ? unwrap(api.POST("/api/sessions/{id}/beginning", { params, body }))
        : unwrap(api.POST("/api/sessions/{id}/ending", { params, body }));
    },
    onSuccess: async (session) => {
      shown(session);
      await queryClient.invalidateQueries({ queryKey: keys.sessions });
    },
    onError,
  });
  const outdated = seen()?.outdated ?? false;
  useEffect(() => {
    if (outdated) change.mutate(null);
    // oxlint-disable-next-line react/exhaustive-deps -- once for what was stopped
  }, [outdated]);
  return { change, step, problem: refusal(change.error ?? step.error)?.message };
}

const wishesOf = ({ minutes, aim, programme_id, day, wishes }: Session): Wishes => ({
  minutes,
  aim,
  programme_id,
  day,
  kept: wishes.kept ?? [],
  out: wishes.out ?? [],
  taken: wishes.taken ?? [],
  sequence: wishes.sequence ?? [],
  turns: wishes.turns ?? [],
});

type Writing = ReturnType<typeof useSessionChange>;

function Buttons({ session, writing }: { session: Session; writing: Writing }) {
  const { state, id } = session;
  const over = state === "running" && session.current === null;
  const End = over ? PrimaryButton : SecondaryButton;
  return (
    <Head>
      <a href={`/api/sessions/${id}/plan.pdf`}>{say("planPage.paper")}</a>
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

type NextProps = {
  session: Session;
  current: RunningBlock | null;
  tell: (event: WishEvent) => void;
  busy: boolean;
};

function Next({ session, current, tell, busy }: NextProps) {
  const ahead = session.blocks.filter(
    (block) => block.left.some((left) => left > 0) && (!current || blockId(block) !== blockId(current)),
  );
  const next = ahead[0];
  return (
    <div>
      <Section>
        <SectionTitle>{say("runningPage.next")}</SectionTitle>
        {next ? (
          <div data-next={blockName(next)}>
            {next.members.map((member) => (
              <p key={member.key}>
                <Strong>{member.machine.name}</Strong> <Small>{member.machine.place}</Small>
                <br />
                <Moves moves={member.moves} />
                {member.load ? <Small>, {member.load}</Small> : null}
              </p>
            ))}
          </div>
        ) : (
          <p>{say("runningPage.nothingAfter")}</p>
        )}
      </Section>
      {session.state === "running" && current ? (
        <Ways>
          {current.keys.map((key, index) => (
            <SecondaryButton key={key} isDisabled={busy} onPress={() => tell({ type: "taken", key })}>
              {say("runningPage.taken", { machine: current.members[index]?.machine.name })}
            </SecondaryButton>
          ))}
          {current.keys.map((key, index) => (
            <SecondaryButton key={key} isDisabled={busy} onPress={() => tell({ type: "leave out", key })}>
              {say("chosenBlock.leaveOutOne", { machine: current.members[index]?.machine.name })}
            </SecondaryButton>
          ))}
          {(session.wishes.taken ?? []).map((key) => (
            <QuietButton key={key} isDisabled={busy} onPress={() => tell({ type: "free", key })}>
              {say("runningPage.free", { machine: nameOf(session, key) })}
            </QuietButton>
          ))}
        </Ways>
      ) : null}
    </div>
  );
}

const nameOf = ({ blocks, beside }: Session, key: string): string =>
  blocks.flatMap(({ members }) => members).find((member) => member.key === key)?.machine.name ??
  beside.find((line) => line.key === key)?.name ??
  "";

/** What was not done, with why. */
function Done({ session: { left_out } }: { session: Session }) {
  return (
    <Section>
      <Notice>{say("runningPage.done")}</Notice>
      {left_out.length > 0 ? (
        <>
          <SectionTitle style={{ marginTop: space(5) }}>{say("runningPage.leftOut")}</SectionTitle>
          <Rows aria-label={say("runningPage.leftOut")}>
            {left_out.map((line) => (
              <li key={line.key} style={{ padding: space(3) }} data-left-out={line.name}>
                <Strong>{line.name}</Strong> <Small>{line.says}</Small>
              </li>
            ))}
          </Rows>
        </>
      ) : null}
    </Section>
  );
}
