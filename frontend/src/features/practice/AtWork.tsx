// At work on a client who is made up: cautions, tape, marks, what is seen and said, the load, and how it ends.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { meQuery } from "../../api/queries";
import type { PracticeRun, Scene } from "../../api/types";
import { lengthText } from "../../lib/lengths";
import { say } from "../../lib/say";
import { usePosed } from "../../scene/usePosed";
import { SceneDrawing } from "../../scene/SceneDrawing";
import { Travel } from "../../scene/Travel";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Columns, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { space } from "../../ui/tokens";
import { type Action, type Hand, NONE } from "./hand";
import { Grid, Row, Stage } from "./layout";
import { Watching } from "./Watching";

export function AtWork({ run }: { run: PracticeRun }) {
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
        {run.scene ? <Seen scene={run.scene} /> : null}
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

/** As one sees them, moved by hand: no number stands anywhere. */
function Seen({ scene }: { scene: Scene }) {
  const { poses, at, shown, setAt } = usePosed(scene);
  return (
    <>
      <Stage>
        <SceneDrawing scene={shown} description={say("runPage.picture")} name="practice" />
      </Stage>
      {poses.length > 0 ? (
        <Travel poses={poses} ends={scene.ends ?? []} at={at} slowTo={null} effort={null} onChange={setAt} />
      ) : null}
    </>
  );
}

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
