// One client who is made up: what one sees, what can be asked, taken, set, watched and said; and when it is over, the debrief.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { CheckboxGroup } from "react-aria-components";
import { useParams } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { meQuery, practiceRunQuery } from "../../api/queries";
import type { PracticeRun } from "../../api/types";
import { lengthText } from "../../lib/lengths";
import { say } from "../../lib/say";
import { SceneDrawing } from "../../scene/SceneDrawing";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { DebriefView } from "./DebriefView";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 4fr);
  gap: ${space(6)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Stage = styled.div`
  height: 26rem;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: ${space(2)} ${space(3)};
`;
const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  align-items: center;
  margin-top: ${space(3)};
`;
const Looks = styled.ol`
  display: grid;
  gap: ${space(2)};
  margin-bottom: ${space(3)};
`;

const NONE = "none";

type Action = { do: "ask" | "take" | "set" | "watch" | "cause" | "cue" | "load" | "refuse" | "accept" } & Partial<{
  observation: string;
  marks: Record<string, string>;
  named: string[];
  sign: string;
  cause: string;
  cue: string;
  kg: number;
}>;

export function RunPage() {
  const { id = "" } = useParams();
  const run = useQuery(practiceRunQuery(id));
  useTitle(run.data ? say("runPage.title", { machine: run.data.machine_name }) : say("practicePage.title"));
  if (run.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(run.error)?.message}</Notice>
        <QuietLink to="/practice">{say("runPage.back")}</QuietLink>
      </Page>
    );
  if (!run.data) return null;
  return (
    <Page>
      <PageHead>
        <Title>{run.data.machine_name}</Title>
        <Muted>
          {say("runPage.madeUp", {
            sex: run.data.sex === "woman" ? say("runPage.woman") : say("runPage.man"),
            age: run.data.person.age_years,
            kg: run.data.person.mass_kg,
            seed: run.data.seed,
          })}
        </Muted>
        <QuietLink to="/practice">{say("runPage.back")}</QuietLink>
      </PageHead>
      {run.data.over ? <DebriefView id={id} /> : <AtWork key={run.data.after} run={run.data} />}
    </Page>
  );
}

function AtWork({ run }: { run: PracticeRun }) {
  const queryClient = useQueryClient();
  const act = useMutation({
    mutationFn: (action: Action) =>
      unwrap(
        api.POST("/api/practice/runs/{id}/actions", {
          params: { path: { id: run.id }, header: newKey() },
          body: { after: run.after, deed: action },
        }),
      ),
    onSuccess: async (next) => {
      queryClient.setQueryData(keys.practiceRun(run.id), next);
      if (next.over) await queryClient.invalidateQueries({ queryKey: keys.practice });
    },
  });
  const doing = (action: Action) => act.mutate(action);
  const hand = { run, busy: act.isPending, onDo: doing };
  return (
    <Columns>
      <div>
        {run.scene ? (
          <Stage>
            <SceneDrawing scene={run.scene} description={say("runPage.picture")} name="practice" />
          </Stage>
        ) : null}
        <Marks {...hand} />
      </div>
      <div>
        {act.error ? <Notice tone="wrong">{refusal(act.error)?.message}</Notice> : null}
        <Asking {...hand} />
        <Taping {...hand} />
        <Watching {...hand} />
        {run.loads.length > 0 ? (
          <Section>
            <Select
              label={say("runPage.load")}
              options={[[NONE, say("runPage.choose")], ...run.loads.map((kg) => [String(kg), `${kg} kg`] as const)]}
              value={run.load_kg === null ? NONE : String(run.load_kg)}
              onChange={(kg) => (kg === NONE || act.isPending ? undefined : doing({ do: "load", kg: Number(kg) }))}
            />
          </Section>
        ) : null}
        <Row>
          <PrimaryButton isDisabled={act.isPending} onPress={() => doing({ do: "accept" })}>
            {say("runPage.accept")}
          </PrimaryButton>
          <SecondaryButton isDisabled={act.isPending} onPress={() => doing({ do: "refuse" })}>
            {say("runPage.refuse")}
          </SecondaryButton>
        </Row>
      </div>
    </Columns>
  );
}

type Hand = { run: PracticeRun; busy: boolean; onDo: (action: Action) => void };

function Asking({ run, busy, onDo }: Hand) {
  return (
    <Section>
      <SectionTitle>{say("runPage.first")}</SectionTitle>
      {run.asked === null ? (
        <SecondaryButton isDisabled={busy} onPress={() => onDo({ do: "ask" })}>
          {say("runPage.ask")}
        </SecondaryButton>
      ) : (
        <p>
          <Strong>{run.asked}</Strong>
        </p>
      )}
    </Section>
  );
}

function Taping({ run, busy, onDo }: Hand) {
  const me = useQuery(meQuery);
  const unit = me.data?.length_unit ?? "cm";
  return (
    <Section>
      <SectionTitle>{say("runPage.tape")}</SectionTitle>
      <Grid>
        {run.readings.map(({ name, title, mm }) =>
          mm === null ? (
            <SecondaryButton key={name} isDisabled={busy} onPress={() => onDo({ do: "take", observation: name })}>
              {title}
            </SecondaryButton>
          ) : (
            <p key={name}>
              <Small>{title}</Small>
              <br />
              <Strong>{lengthText(mm, unit)}</Strong>
            </p>
          ),
        )}
      </Grid>
    </Section>
  );
}

function Marks({ run, busy, onDo }: Hand) {
  const stands = Object.fromEntries(run.adjusters.map(({ label, mark }) => [label, mark]));
  const [marks, setMarks] = useState(stands);
  const changed = run.adjusters.some(({ label, mark }) => marks[label] !== mark);
  return (
    <Section style={{ marginTop: space(4) }}>
      <SectionTitle>{say("runPage.marks")}</SectionTitle>
      <Grid>
        {run.adjusters.map(({ label, marks: all }) => (
          <Select
            key={label}
            label={label.charAt(0).toUpperCase() + label.slice(1)}
            options={all.map((mark) => [mark, mark] as const)}
            value={marks[label] ?? ""}
            onChange={(mark) => setMarks({ ...marks, [label]: mark })}
          />
        ))}
      </Grid>
      <Row>
        <PrimaryButton isDisabled={busy || !changed} onPress={() => onDo({ do: "set", marks })}>
          {say("runPage.set")}
        </PrimaryButton>
      </Row>
    </Section>
  );
}

/** A repetition is watched: what is seen is ticked first, and told afterwards. */
function Watching({ run, busy, onDo }: Hand) {
  const [named, setNamed] = useState<string[]>([]);
  const { looks, signs, causes, cues, watched_here } = run;
  return (
    <Section style={{ display: "grid", gap: space(2) }}>
      <SectionTitle>{say("runPage.watch")}</SectionTitle>
      <Looks>
        {looks.map(({ marks, in_joint, seen, missed }, index) => (
          <li key={`${index}-${marks}`} data-look={index + 1}>
            <Small>{marks}</Small>
            <br />
            {seen.length > 0 ? say("runPage.wasSeen", { signs: seen.join("; ") }) : say("runPage.nothingSeen")}
            {in_joint ? <> {say("runPage.inJoint")}</> : null}
            {missed.length > 0 ? <Small> {say("runPage.missed", { signs: missed.join("; ") })}</Small> : null}
          </li>
        ))}
      </Looks>
      {watched_here
        ? causes.map(({ sign, title, chosen, causes: all }) => (
            <Select
              key={sign}
              label={say("runPage.behind", { sign: title })}
              options={[[NONE, say("runPage.choose")], ...all.map((cause) => [cause.name, cause.title] as const)]}
              value={chosen ?? NONE}
              onChange={(cause) => (cause !== NONE && !busy ? onDo({ do: "cause", sign, cause }) : undefined)}
            />
          ))
        : null}
      {looks.length > 0 ? (
        <Select
          label={say("runPage.say")}
          options={[[NONE, say("runPage.choose")], ...cues.map(({ name, words }) => [name, words] as const)]}
          value={NONE}
          onChange={(cue) => (cue !== NONE && !busy ? onDo({ do: "cue", cue }) : undefined)}
        />
      ) : null}
      <details open={looks.length === 0}>
        <summary>{say("runPage.tick")}</summary>
        <CheckboxGroup aria-label={say("runPage.tick")} value={named} onChange={setNamed}>
          {signs.map(({ name, title }) => (
            <Tick key={name} value={name}>
              {title}
            </Tick>
          ))}
        </CheckboxGroup>
      </details>
      <Row>
        <SecondaryButton isDisabled={busy} onPress={() => onDo({ do: "watch", named })}>
          {named.length > 0 ? say("runPage.seenThese", { count: named.length }) : say("runPage.seenNothing")}
        </SecondaryButton>
      </Row>
    </Section>
  );
}
