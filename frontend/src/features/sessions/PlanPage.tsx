// What a client does today in the time there is: planned, changed by a touch, kept as paper or begun.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { sessionPlanQuery, sessionsQuery } from "../../api/queries";
import type { SessionPlan } from "../../api/types";
import { say } from "../../lib/say";
import { USUAL_MINUTES, wish, type WishEvent, wishing, type Wishes } from "../../model/wishes";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Small, Title } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { breakpoint, space } from "../../ui/tokens";
import { useKept } from "../../ui/useKept";
import { useTitle } from "../../ui/useTitle";
import { May } from "../shared/May";
import { Beside } from "./Beside";
import { blockId, blockName } from "./blocks";
import { ChosenBlock } from "./ChosenBlock";
import { SessionLine } from "./SessionLine";

const Asked = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${space(3)};
  > :not(fieldset) {
    min-width: 11rem;
  }
  @media ${breakpoint.phone} {
    > * {
      width: 100%;
    }
  }
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-left: auto;
`;
const MINUTES = ["20", "30", "45", "60"] as const;
const AS_FITTED = "as-fitted";
const CARD = "card";

export function PlanPage() {
  const { id = "" } = useParams();
  const [query] = useSearchParams();
  const [wishes, setWishes] = useKept<Wishes>(`session ${id}`, wishing(Number(query.get("minutes")) || USUAL_MINUTES));
  const [selected, setSelected] = useState<string | null>(null);
  const plan = useQuery(sessionPlanQuery(id, wishes));
  const tell = (event: WishEvent) => setWishes(wish(wishes, event));
  useTitle(plan.data ? say("planPage.titleOf", { name: plan.data.client.name }) : say("planPage.title"));
  if (plan.error && !plan.data)
    return (
      <Page>
        <Notice tone="wrong">{refusal(plan.error)?.message}</Notice>
        <QuietButton onPress={() => setWishes(wishing(30))}>{say("planPage.anew")}</QuietButton>
      </Page>
    );
  if (!plan.data) return null;
  const { client, blocks, says } = plan.data;
  const shown = blocks.find((block) => blockId(block) === selected) ?? blocks[0];
  return (
    <Page>
      <PageHead>
        <Title>
          <Link to={`/clients/${id}`} style={{ color: "inherit" }}>
            {client.name}
          </Link>
        </Title>
        <Muted>{say("planPage.title")}</Muted>
        <Buttons id={id} plan={plan.data} wishes={wishes} />
      </PageHead>
      <Asking plan={plan.data} wishes={wishes} tell={tell} />
      <p aria-live="polite" data-plan-says style={{ marginTop: space(4) }}>
        {says} <Small>{say("planPage.legend")}</Small>
      </p>
      {plan.data.first_visit ? <FirstVisit id={id} plan={plan.data} /> : null}
      <SessionLine
        blocks={blocks}
        minutes={wishes.minutes}
        selected={shown ? blockId(shown) : null}
        onSelect={setSelected}
        onMinutes={(minutes) => tell({ type: "minutes", minutes })}
        onOrder={(order) => tell({ type: "order", keys: order })}
      />
      {shown ? <ChosenBlock block={shown} all={blocks} wishes={wishes} tell={tell} /> : null}
      <Beside plan={plan.data} tell={tell} />
    </Page>
  );
}

/** Somebody new: what is worth taking first, then machine by machine. */
const FirstVisit = ({ id, plan }: { id: string; plan: SessionPlan }) => (
  <Notice>
    {say("planPage.firstVisit")}{" "}
    {plan.reading ? (
      <May ask="putReading">
        <Link to={`/clients/${id}/tape`}>{say("planPage.takeFirst", { reading: plan.reading.toLowerCase() })}</Link>
      </May>
    ) : null}
  </Notice>
);

type Asks = { plan: SessionPlan; wishes: Wishes; tell: (event: WishEvent) => void };

function Asking({ plan, wishes, tell }: Asks) {
  const time = String(wishes.minutes);
  // Chosen, and this client's alone: it can be changed from here.
  const own = plan.programmes.find((one) => one.own && one.id === wishes.programme_id)?.id;
  const minutes = (MINUTES as readonly string[]).includes(time) ? [...MINUTES] : [...MINUTES, time];
  return (
    <Asked>
      <Choice
        label={say("planPage.minutes")}
        compact
        options={minutes
          .toSorted((one, other) => Number(one) - Number(other))
          .map((one) => [one, one === time ? say("lineEnd.minutes", { minutes: one }) : one])}
        value={time}
        onChange={(one) => tell({ type: "minutes", minutes: Number(one) })}
      />
      <Select
        label={say("planPage.aim")}
        hiddenLabel
        options={[[AS_FITTED, say("planPage.aimAsFitted")], ...plan.aims.map((aim) => [aim, aim] as const)]}
        value={wishes.aim ?? AS_FITTED}
        onChange={(aim) => tell({ type: "aim", aim: aim === AS_FITTED ? null : aim })}
      />
      <Select
        label={say("planPage.from")}
        hiddenLabel
        options={[
          [CARD, say("planPage.fromCard")],
          ...plan.programmes.flatMap((one) =>
            one.days.map((day, index) => [`${one.id} ${index}`, dayName(one, day, index)] as const),
          ),
        ]}
        value={wishes.programme_id ? `${wishes.programme_id} ${wishes.day ?? 0}` : CARD}
        onChange={(chosen) => {
          const [programme = "", day = "0"] = chosen.split(" ");
          tell({ type: "programme", id: chosen === CARD ? null : programme, day: Number(day) });
        }}
      />
      <May ask="addProgramme">
        <QuietLink to={`/sessions/programmes/${own ?? "new"}?client=${plan.client.id}`}>
          {own ? say("planPage.ownProgramme") : say("planPage.newProgramme", { name: plan.client.name })}
        </QuietLink>
      </May>
      {wishes.sequence.length > 0 ? (
        <QuietButton onPress={() => tell({ type: "no order" })}>{say("planPage.orderAnew")}</QuietButton>
      ) : null}
    </Asked>
  );
}

/** "Two days a week: B, next, week 3 of 8" */
const dayName = (one: SessionPlan["programmes"][number], day: string, index: number): string =>
  [
    say("planPage.fromDay", { name: one.name, day }),
    index === one.next ? say("planPage.nextDay") : "",
    index === one.next && one.week !== null ? say("planPage.week", { week: one.week, weeks: one.weeks ?? "…" }) : "",
  ]
    .filter(Boolean)
    .join(", ");

function Buttons({ id, plan, wishes }: { id: string; plan: SessionPlan; wishes: Wishes }) {
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const keep = useMutation({
    mutationFn: (begins: boolean) =>
      unwrap(
        api.POST("/api/clients/{id}/sessions", {
          params: { path: { id }, header: newKey() },
          body: { ...wishes, begins },
        }),
      ),
    onSuccess: async (session) => {
      queryClient.setQueryData(keys.session(session.id), session);
      await queryClient.invalidateQueries({ queryKey: keys.sessions });
      if (session.state === "running") await navigate(`/sessions/${session.id}`);
      else window.location.assign(`/api/sessions/${session.id}/plan.pdf`);
    },
  });
  const sessions = useQuery({ ...sessionsQuery, enabled: keep.isError });
  const running = sessions.data?.sessions.find(({ client, state }) => client.id === id && state === "running");
  const first = plan.blocks[0];
  const nothing = !first || keep.isPending;
  return (
    <Ways>
      <May ask="sessionToPrint">
        <SecondaryButton isDisabled={nothing} onPress={() => keep.mutate(false)}>
          {say("planPage.paper")}
        </SecondaryButton>
      </May>
      <PrimaryButton isDisabled={nothing} onPress={() => keep.mutate(true)}>
        {first ? say("planPage.begin", { machine: blockName(first) }) : say("planPage.beginNothing")}
      </PrimaryButton>
      {keep.error ? (
        <Notice tone="wrong">
          {refusal(keep.error)?.message}{" "}
          {running ? <Link to={`/sessions/${running.id}`}>{say("clientPage.goOn")}</Link> : null}
        </Notice>
      ) : null}
    </Ways>
  );
}
