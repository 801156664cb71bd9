// A group that rotates: who is where now and next, what moves between neighbours, how long the round still lasts. Readable from
// five metres; nothing of anybody's health.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { circleQuery } from "../../api/queries";
import type { Circle } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Rows, Small, Strong, Title } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { breakpoint, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { ClientPicker } from "../shared/ClientPicker";
import { GroupGrid } from "./GroupGrid";
import { RoundClock } from "./RoundClock";
import { useWakeLock } from "../../lib/useWakeLock";

const Foot = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: ${space(4)};
  margin-top: ${space(5)};
  > p {
    flex: 1 1 24rem;
  }
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  align-items: center;
`;
const Head = styled(PageHead)`
  @media ${breakpoint.narrow} {
    align-items: start;
  }
`;
const ALL = "all";

export function GroupPage() {
  const { id = "" } = useParams();
  const [query, setQuery] = useSearchParams();
  const station = query.get("station");
  const circle = useQuery(circleQuery(id));
  const writing = useCircle(id);
  const [people, setPeople] = useState(false);
  useTitle(circle.data?.name ?? say("groupPage.title"));
  useWakeLock((circle.data?.round ?? 0) > 0);
  if (circle.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(circle.error)?.message}</Notice>
      </Page>
    );
  if (!circle.data) return null;
  const { name, work_s, round, rounds, stations, says } = circle.data;
  const last = round >= rounds.length;
  return (
    <Page style={{ maxWidth: "none" }}>
      <Head>
        <Title>{name}</Title>
        <Muted>
          {say("groupPage.about", { people: circle.data.people.length, stations: stations.length, seconds: work_s })}
        </Muted>
        {round > 0 ? <RoundClock circle={circle.data} came={circle.dataUpdatedAt} /> : null}
      </Head>
      {writing.problem ? <Notice tone="wrong">{writing.problem}</Notice> : null}
      <GroupGrid circle={circle.data} station={station} />
      <Foot>
        <p>{says}</p>
        <Ways>
          <Select
            label={say("groupPage.tablet")}
            hiddenLabel
            options={[
              [ALL, say("groupPage.everyStation")],
              ...stations.map(({ key, machine }) => [key, machine.name] as const),
            ]}
            value={station ?? ALL}
            onChange={(key) => setQuery(key === ALL ? {} : { station: key }, { replace: true })}
          />
          <a href={`/api/circles/${id}/grid.pdf`}>{say("planPage.paper")}</a>
          <SecondaryButton onPress={() => setPeople(true)}>{say("groupPage.whoGoes")}</SecondaryButton>
          {round > 0 ? (
            <SecondaryButton onPress={() => writing.turn.mutate(0)} isDisabled={writing.turn.isPending}>
              {say("groupPage.end")}
            </SecondaryButton>
          ) : null}
          <PrimaryButton
            onPress={() => writing.turn.mutate(last ? 0 : round + 1)}
            isDisabled={writing.turn.isPending || circle.data.people.length === 0}
          >
            {round === 0 ? say("groupPage.begin") : last ? say("groupPage.finished") : say("groupPage.nextRound")}
          </PrimaryButton>
        </Ways>
      </Foot>
      <Dialogue title={say("groupPage.whoGoes")} isOpen={people} onClose={() => setPeople(false)}>
        <Who circle={circle.data} change={(ids) => writing.change.mutate(ids)} />
      </Dialogue>
    </Page>
  );
}

function useCircle(id: string) {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const key = keys.circle(id);
  const seen = () => queryClient.getQueryData<Circle>(key);
  const shown = (circle: Circle) => queryClient.setQueryData(key, circle);
  const onError = () => queryClient.invalidateQueries({ queryKey: key });
  const params = () => ({ path: { id }, header: newKey() });
  const turn = useMutation({
    mutationFn: (round: number) =>
      unwrap(api.POST("/api/circles/{id}/round", { params: params(), body: { round, version: seen()?.version ?? 1 } })),
    onSuccess: shown,
    onError,
  });
  const change = useMutation({
    mutationFn: (people: string[]) => {
      const circle = seen();
      if (!circle) throw new Error("no group");
      const { name, work_s, version } = circle;
      const stations = circle.stations.map((one) => one.key);
      return unwrap(
        api.PUT("/api/circles/{id}", { params: params(), body: { name, work_s, stations, people, version } }),
      );
    },
    onSuccess: shown,
    onError,
  });
  const remove = useMutation({
    mutationFn: () =>
      unwrap(api.POST("/api/circles/{id}/removal", { params: params(), body: { version: seen()?.version ?? 1 } })),
    onSuccess: async () => {
      await queryClient.invalidateQueries({ queryKey: keys.circles });
      await navigate("/sessions");
    },
  });
  return { turn, change, remove, problem: refusal(turn.error ?? change.error ?? remove.error)?.message };
}

/** Somebody came late, or goes: the others go on as before. */
function Who({ circle, change }: { circle: Circle; change: (people: string[]) => void }) {
  const ids = circle.people.map(({ id }) => id);
  return (
    <>
      <ClientPicker label={say("groupPage.cameLate")} without={ids} onPick={(id) => change([...ids, id])} />
      <Rows aria-label={say("groupPage.whoGoes")} style={{ marginTop: space(4) }}>
        {circle.people.map(({ id, name, called }) => (
          <li
            key={id}
            style={{ display: "flex", justifyContent: "space-between", alignItems: "center", padding: space(2) }}
          >
            <span>
              <Strong>{name}</Strong> {called === name ? null : <Small>{called}</Small>}
            </span>
            <QuietButton isDisabled={ids.length === 1} onPress={() => change(ids.filter((one) => one !== id))}>
              {say("groupPage.goes", { name: called })}
            </QuietButton>
          </li>
        ))}
      </Rows>
    </>
  );
}
