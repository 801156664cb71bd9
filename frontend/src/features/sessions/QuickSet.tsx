// A set in one touch: how the last repetition went says all that is asked of a set that went as planned. Anything else about it is
// said below.
import styled from "styled-components";
import { refusal } from "../../api/client";
import type { SetUp } from "../../api/types";
import { say } from "../../lib/say";
import { asPlanned, expected, type Last, loadOf, todayFor } from "../../model/setDraft";
import { SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Muted } from "../../ui/Page";
import { breakpoint, colour, size, space } from "../../ui/tokens";
import { DoneSets } from "../shared/visit/DoneSets";
import { Figure, LightSet, Printed, SHORT } from "../shared/visit/Lifted";
import { Rest } from "../shared/visit/Rest";
import { useOutbox } from "../shared/visit/useOutbox";
import { useVisit } from "../shared/visit/useVisit";

const Lifted = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${space(2)} ${space(6)};
`;
const Touches = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${space(2)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Touch = styled(SecondaryButton)`
  min-height: 4.5rem;
  font-size: ${size.large};
  &[data-usual] {
    background: ${colour.action};
    border-color: ${colour.action};
    color: ${colour.actionInk};
  }
`;
const LAST: readonly (readonly [Last, string])[] = [
  ["easy", say("visitPanel.easy")],
  ["clean", say("visitPanel.hardClean")],
  ["not_reached", say("visitPanel.notReached")],
];

type Props = {
  setUp: SetUp;
  me: number;
  /** as the session has it */ plan: { sets: number; repetitions: number; rest_s: number };
};

export function QuickSet({ setUp, me, plan }: Props) {
  const { visit } = setUp;
  const writing = useVisit(setUp.id);
  const outbox = useOutbox(me);
  const waiting = outbox.entries.filter((entry) => entry.of === setUp.id);
  const done = visit.going_on?.sets ?? [];
  const stopped = visit.going_on?.stopped ?? false;
  const today = todayFor(visit, "");
  const load = today?.load?.text ?? setUp.load_text;
  const number = done.length + waiting.length + 1;
  const touch = (last: Last) => {
    const draft = { ...asPlanned(visit), last, repetitions: plan.repetitions };
    outbox.put(setUp.id, { ...draft, number, load_kg: loadOf(visit, draft), watched_by: me });
  };
  return (
    <>
      <Lifted>
        {load ? (
          <Figure $long={load.indexOf(" ") > SHORT} aria-label={say("lifted.loadTodayIs", { load })}>
            <Printed text={load} />
          </Figure>
        ) : null}
        {today && done.length === 0 ? <LightSet today={today} /> : null}
        <Muted>
          {number <= plan.sets
            ? say("quickSet.of", { number, sets: plan.sets, repetitions: plan.repetitions })
            : say("quickSet.more", { sets: done.length })}
        </Muted>
        <Rest since={done.at(-1)?.done_at ?? null} seconds={plan.rest_s} over={stopped || number > plan.sets} />
      </Lifted>
      {outbox.problem ? <Notice tone="wrong">{outbox.problem}</Notice> : null}
      {writing.takeBack.error ? <Notice tone="wrong">{refusal(writing.takeBack.error)?.message}</Notice> : null}
      {stopped ? (
        <Notice tone="wrong">{say("visitPanel.stopped")}</Notice>
      ) : (
        <Touches role="group" aria-label={say("visitPanel.lastRepQuestion")}>
          {LAST.map(([last, title]) => (
            <Touch key={last} data-usual={last === "clean" ? true : undefined} onPress={() => touch(last)}>
              {title}
            </Touch>
          ))}
        </Touches>
      )}
      {waiting.length > 0 ? (
        <Notice>
          <span data-waiting-sets={waiting.length}>{say("quickSet.waiting", { count: waiting.length })}</span>
        </Notice>
      ) : null}
      <DoneSets
        sets={done}
        busy={writing.takeBack.isPending}
        odd={(set) => !expected(visit, visit.felt.find(({ title }) => title === set.felt)?.name ?? null)}
        onTakeBack={(id) => writing.takeBack.mutate(id)}
      />
    </>
  );
}
