// A returning client's visit: what is lifted and why, how the last repetition went, and the set is written down.
import { useEffect, useReducer, useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { refusal } from "../../../api/client";
import type { SetUp } from "../../../api/types";
import { say } from "../../../lib/say";
import {
  asPlanned,
  expected,
  type Last,
  type Leg,
  type SetDraft,
  setReducer,
  toBeSaid,
  todayFor,
} from "../../../model/setDraft";
import { VisitLine } from "../../../scene/VisitLine";
import { PrimaryButton } from "../../../ui/Button";
import { Choice } from "../../../ui/Choice";
import { FieldLabel } from "../../../ui/Field";
import { Notice } from "../../../ui/Notice";
import { Small } from "../../../ui/Page";
import { Select } from "../../../ui/Select";
import { breakpoint, colour, radius, size, space } from "../../../ui/tokens";
import { ReadThisSet } from "./ReadThisSet";
import { Answer, Answers } from "./Answer";
import { Cues } from "./Cues";
import { DoneSets } from "./DoneSets";
import { Felt } from "./Felt";
import { Helped } from "./Helped";
import { Lifted } from "./Lifted";
import { Rest } from "./Rest";
import { useVisit } from "./useVisit";

const Panel = styled.section`
  display: grid;
  gap: ${space(2)};
  padding: ${space(3)} ${space(5)} ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Pairs = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${space(2)} ${space(5)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Thirds = styled.div`
  display: grid;
  grid-template-columns: 7rem minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space(3)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Done = styled(PrimaryButton)`
  min-height: 3.75rem;
  font-size: ${size.large};
`;

const LAST: readonly (readonly [Last, string])[] = [
  ["easy", say("visitPanel.easy")],
  ["clean", say("visitPanel.hardClean")],
  ["not_reached", say("visitPanel.notReached")],
];
const RANGES: readonly (readonly [number, string])[] = [
  [1, say("visitPanel.whole")],
  [0.75, say("visitPanel.threeQuarters")],
  [0.5, say("visitPanel.half")],
];
const LEGS: readonly (readonly [Leg, string])[] = [
  ["", say("visitPanel.bothLegs")],
  ["left", say("visitPanel.left")],
  ["right", say("visitPanel.right")],
];
const NONE = "none";
const MOST_REPETITIONS = 40;
const COUNTS = Array.from({ length: MOST_REPETITIONS }, (_, index) => String(index + 1)).map(
  (count) => [count, count] as const,
);

type Props = { setUp: SetUp; me: number; locale: string };

export function VisitPanel({ setUp, me, locale }: Props) {
  const { visit } = setUp;
  const [draft, dispatch] = useReducer(setReducer, visit, asPlanned);
  const [watched, setWatched] = useState(String(me));
  const writing = useVisit(setUp.id);
  const done = visit.going_on?.sets ?? [];
  const today = todayFor(visit, draft.leg);
  useShownAgain(writing.done.isSuccess, writing.done.submittedAt, () => dispatch({ type: "written", visit }));
  const tell = (fields: Partial<SetDraft>) => {
    if (writing.done.isError) writing.done.reset();
    dispatch({ type: "say", fields });
  };
  const stopped = visit.going_on?.stopped ?? false;
  const about = toBeSaid(visit, draft);
  const stops = visit.felt.some(({ name, meaning }) => name === draft.felt && meaning === "joint");
  const legs = visit.one_leg_possible ? (
    <Choice
      label={say("visitPanel.legs")}
      compact
      tight
      options={LEGS}
      value={draft.leg}
      onChange={(leg) => dispatch({ type: "leg", leg })}
    />
  ) : null;
  return (
    <Panel aria-label={say("visitPanel.visit")} data-visit>
      {today ? (
        <Lifted visit={visit} draft={draft} legs={legs} onLoad={(kg) => dispatch({ type: "load", kg })} />
      ) : (
        <>
          {legs}
          {setUp.load_text ? <p>{setUp.load_text}</p> : null}
        </>
      )}
      {visit.remarks.map((remark) => (
        <Small key={remark}>{remark}</Small>
      ))}
      {visit.history.length > 1 && done.length === 0 ? (
        <VisitLine visits={visit.history} today={today?.load ?? null} locale={locale} width={540} height={100} />
      ) : null}
      {stopped ? (
        <Notice tone="wrong">{say("visitPanel.stopped")}</Notice>
      ) : (
        <>
          {setUp.read_on ? (
            <ReadThisSet key={done.length} fitting={setUp.id} draft={draft} locale={locale} onSay={tell} />
          ) : null}
          <div>
            <FieldLabel as="span">{say("visitPanel.lastRepQuestion")}</FieldLabel>
            <Answers role="group" aria-label={say("visitPanel.lastRepQuestion")}>
              {LAST.map(([name, title]) => (
                <Answer key={name} large selected={draft.last === name} onPress={() => tell({ last: name })}>
                  {title}
                </Answer>
              ))}
            </Answers>
          </div>
          <Pairs>
            <div>
              <FieldLabel as="span">{say("visitPanel.range")}</FieldLabel>
              <Answers role="group" aria-label={say("visitPanel.range")}>
                {rangesWith(draft.reached).map(([share, title]) => (
                  <Answer key={share} selected={draft.reached === share} onPress={() => tell({ reached: share })}>
                    {title}
                  </Answer>
                ))}
              </Answers>
            </div>
            <Felt regions={visit.felt} value={draft.felt} onChange={(felt) => tell({ felt })} />
          </Pairs>
          <Thirds>
            <Select
              label={say("visitPanel.repetitions")}
              options={COUNTS}
              value={String(draft.repetitions)}
              onChange={(count) => tell({ repetitions: Number(count) })}
            />
            <Select
              label={say("visitPanel.signSeen")}
              options={[
                [NONE, say("visitPanel.noSign")],
                ...visit.signs.map(({ name, title }) => [name, title] as const),
              ]}
              value={draft.sign ?? NONE}
              onChange={(sign) => tell({ sign: sign === NONE ? null : sign })}
            />
            <Select
              label={say("visitPanel.watchedBy")}
              options={[
                ...visit.watchers.map(({ id, name }) => [String(id), name] as const),
                [NONE, say("visitPanel.nobody")],
              ]}
              value={watched}
              onChange={setWatched}
            />
          </Thirds>
          {about ? (
            <Cues
              about={about.name}
              cues={about.cues}
              said={draft.said ? [draft.said] : []}
              onWent={(said) => tell({ said })}
            />
          ) : null}
          {visit.helped ? (
            <Helped helped={visit.helped} draft={draft} onLoad={(kg) => dispatch({ type: "load", kg })} onSay={tell} />
          ) : null}
          <Done
            isDisabled={writing.done.isPending || (draft.last === null && !stops)}
            onPress={() => writing.done.mutate({ visit, draft, watched: watched === NONE ? null : Number(watched) })}
          >
            {buttonText(done.length + 1, visit.sets, stops)}
          </Done>
        </>
      )}
      {writing.done.error ? <Notice tone="wrong">{refusal(writing.done.error)?.message}</Notice> : null}
      {writing.takeBack.error ? <Notice tone="wrong">{refusal(writing.takeBack.error)?.message}</Notice> : null}
      {done.length > 0 ? (
        <>
          <Rest
            since={done.at(-1)?.done_at ?? null}
            seconds={visit.rest_s}
            over={done.length >= visit.sets || stopped}
          />
          <DoneSets
            sets={done}
            busy={writing.takeBack.isPending}
            odd={(set) => !expected(visit, visit.felt.find(({ title }) => title === set.felt)?.name ?? null)}
            onTakeBack={(id) => writing.takeBack.mutate(id)}
          />
        </>
      ) : null}
      <Small>
        {visit.ladder.says.join(" ")} <Link to={`/fittings/${setUp.id}/progress`}>{say("visitPanel.allVisits")}</Link>
      </Small>
    </Panel>
  );
}

/** Those that are asked for, and one that was read between them. */
const rangesWith = (reached: number) =>
  RANGES.some(([share]) => share === reached)
    ? RANGES
    : [...RANGES, [reached, `${Math.round(reached * 100)} %`] as const];

const buttonText = (number: number, planned: number, stops: boolean) => {
  if (stops) return say("visitPanel.stopHere");
  return number <= planned ? say("visitPanel.progress", { number, planned }) : say("visitPanel.setDone", { number });
};

/** Runs once for every write that came through. */
function useShownAgain(success: boolean, at: number, then: () => void) {
  useEffect(() => {
    if (success) then();
    // oxlint-disable-next-line react/exhaustive-deps -- for each write, not for each function
  }, [success, at]);
}
