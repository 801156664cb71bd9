// A machine's page: what it is and needs, its adjusters and lengths, who fits it, what its fittings used.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { machineQuery, meQuery } from "../../api/queries";
import type { ExerciseName, MachineExercise, MachinePage as MachinePageData } from "../../api/types";
import { useTitle } from "../../app/Shell";
import { momentText } from "../../model/dates";
import type { LengthUnit } from "../../model/lengths";
import { BandName } from "../../ui/Band";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Dialogue } from "../../ui/Dialogue";
import { Field } from "../../ui/Field";
import { PrimaryLink, QuietLink, SecondaryLink } from "../../ui/LinkButton";
import { MarkTags } from "../../ui/MarkTag";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { breakpoint, space } from "../../ui/tokens";
import { AdjusterList } from "./AdjusterList";
import { LengthTable } from "./LengthTable";
import { PeopleOnIt } from "./PeopleOnIt";
import { Photograph } from "./Photograph";
import { ChangedAdvice, WhoFits } from "./WhoFits";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: ${space(7)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Facts = styled.dl`
  display: grid;
  gap: ${space(3)};
  dt {
    font-weight: 650;
  }
`;
const FittingRow = styled.li`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: ${space(2)} ${space(4)};
  padding: ${space(3)} ${space(4)};
`;
const Push = styled.span`
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;

export function MachinePage() {
  const { id = "" } = useParams();
  const page = useQuery(machineQuery(id));
  const me = useQuery(meQuery);
  useTitle(page.data?.machine.name ?? "Machine");
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message ?? "This machine could not be opened."}</Notice>
        <QuietLink to="/machines">To the machines</QuietLink>
      </Page>
    );
  if (!page.data || !me.data) return null;
  return <Machine id={id} page={page.data} unit={me.data.length_unit} locale={me.data.gym.locale} />;
}

type Props = { id: string; page: MachinePageData; unit: LengthUnit; locale: string };

function Machine({ id, page, unit, locale }: Props) {
  const { machine } = page;
  const [exerciseName, setExerciseName] = useState(page.exercises[0]?.name ?? "");
  const exercise = page.exercises.find(({ name }) => name === exerciseName) ?? page.exercises[0];
  if (!exercise) return null;
  const Tape = machine.taped === "taped" ? SecondaryLink : PrimaryLink;
  return (
    <Page>
      <PageHead>
        <Title>{machine.name}</Title>
        <Muted>{[machine.code, machine.family_name, machine.place].filter(Boolean).join(" · ")}</Muted>
        <Push>
          <Tape to={`/machines/${id}/tape`}>{TAPE[machine.taped]}</Tape>
          <SecondaryLink to={`/machines/${id}/correct`}>Correct</SecondaryLink>
          <Copy id={id} name={machine.name} />
        </Push>
      </PageHead>
      <StateNotice page={page} />
      {page.exercises.length > 1 ? (
        <p style={{ marginBottom: "1.25rem" }}>
          <Choice
            compact
            label="Exercise"
            options={page.exercises.map(({ name, title }) => [name, title ?? name] as const)}
            value={exercise.name}
            onChange={setExerciseName}
          />
        </p>
      ) : null}
      <Columns>
        <div>
          <Section>
            <SectionTitle>Who fits it</SectionTitle>
            {exercise.told.length > 0 ? (
              <WhoFits id={id} exercise={exercise.name} />
            ) : (
              <Empty>Not taped yet: nothing can be told. Taping takes about five minutes.</Empty>
            )}
          </Section>
          <ChangedAdvice id={id} number={page.number} />
          <Section>
            <SectionTitle>Adjusters, in the order in which they are met</SectionTitle>
            <AdjusterList id={id} page={page} exercise={exercise} unit={unit} />
          </Section>
          <Fittings page={page} exercise={exercise.name} locale={locale} />
        </div>
        <div>
          <Section>
            <SectionTitle>Lengths</SectionTitle>
            <LengthTable exercise={exercise} unit={unit} locale={locale} />
          </Section>
          <WalkRound id={id} page={page} />
        </div>
      </Columns>
      {exercise.told.length > 0 ? <ThreePeople exercise={exercise} /> : null}
    </Page>
  );
}

const TAPE = { untaped: "Tape it", partly: "Go on taping", taped: "Tape again" };

function StateNotice({ page }: { page: MachinePageData }) {
  const { machine } = page;
  const lines = [
    machine.state === "out_of_order" ? `Out of order${machine.state_note ? `: ${machine.state_note}` : ""}.` : null,
    machine.state === "retired" ? "Retired: nobody is fitted on it any more; what was accepted stays." : null,
    machine.state === "in_use" && machine.state_note ? machine.state_note : null,
    page.copied_from ? `Copied from ${page.copied_from}: check each length here.` : null,
  ].filter((line) => line !== null);
  if (lines.length === 0) return null;
  return (
    <div style={{ marginBottom: "1.25rem" }}>
      <Notice>{lines.join(" ")}</Notice>
    </div>
  );
}

function ThreePeople({ exercise }: { exercise: MachineExercise }) {
  return (
    <Section style={{ marginTop: "1.75rem" }}>
      <SectionTitle>How people would sit on it</SectionTitle>
      {exercise.remarks.map((remark) => (
        <Notice key={remark.says}>{remark.says}</Notice>
      ))}
      <PeopleOnIt trial={exercise} />
    </Section>
  );
}

function WalkRound({ id, page }: { id: string; page: MachinePageData }) {
  const { facts, machine } = page;
  const limits = [
    facts.user_mass_limit_kg === null ? null : `users up to ${facts.user_mass_limit_kg} kg`,
    facts.least_age_years === null ? null : `from ${facts.least_age_years} years`,
  ].filter((limit) => limit !== null);
  const lines = [
    ["Getting in", facts.getting_in],
    ["Getting out", facts.getting_out],
    ["What the last user may have left", facts.left_behind],
    [
      "The load goes slack",
      facts.slack_from_deg === null ? "" : `from ${facts.slack_from_deg}° of knee bend: end before it`,
    ],
    ["The maker allows", [...limits, facts.cushions_allowed ? "firm cushions" : null].filter(Boolean).join(", ")],
  ].filter(([, text]) => text);
  return (
    <Section>
      <SectionTitle>Walk-round</SectionTitle>
      {lines.length === 0 ? <Empty>Nothing noted yet: how to get in and out, what may be left flipped.</Empty> : null}
      <Facts>
        {lines.map(([title, text]) => (
          <div key={title}>
            <dt>{title}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </Facts>
      <div style={{ margin: "0.75rem -0.5rem" }}>
        <Photograph id={id} page={page} adjuster="" name={machine.name} />
      </div>
    </Section>
  );
}

function Fittings({ page, exercise, locale }: { page: MachinePageData; exercise: ExerciseName; locale: string }) {
  const rows = page.fittings.filter((fitting) => fitting.exercise === exercise);
  return (
    <Section>
      <SectionTitle>Accepted fittings</SectionTitle>
      {rows.length === 0 ? <Empty>Nobody was fitted on it yet.</Empty> : null}
      <Rows>
        {rows.map((fitting) => (
          <FittingRow key={fitting.id}>
            <span>
              <Link to={`/fittings/${fitting.id}`}>
                <Strong>{fitting.client.name}</Strong>
              </Link>{" "}
              <Small>{fitting.client.detail}</Small>
              <br />
              <Small>
                {fitting.by}, {momentText(fitting.accepted_at, locale, new Date())}
              </Small>
            </span>
            <MarkTags tags={fitting.marks} />
            <BandName band={fitting.grade} />
          </FittingRow>
        ))}
      </Rows>
    </Section>
  );
}

/** Another of the same make: lengths are copied and marked to be checked. */
function Copy({ id, name }: { id: string; name: string }) {
  const [asking, setAsking] = useState(false);
  const [called, setCalled] = useState("");
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const copy = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/machines/{id}/copy", {
          params: { path: { id }, header: newKey() },
          body: { name: called },
        }),
      ),
    onSuccess: async (made) => {
      setAsking(false);
      await queryClient.invalidateQueries({ queryKey: ["machines"] });
      await navigate(`/machines/${made.machine.id}`);
    },
  });
  return (
    <>
      <SecondaryButton onPress={() => setAsking(true)}>Another of the same make</SecondaryButton>
      <Dialogue title={`Another like ${name}`} isOpen={asking} onClose={() => setAsking(false)}>
        <p style={{ marginBottom: "1rem" }}>
          Marks, lengths and walk-round are copied; each length stays marked until it was checked on the new machine.
        </p>
        <Field
          label="What is the new one called?"
          value={called}
          maxLength={80}
          autoFocus
          autoComplete="off"
          onChange={setCalled}
          complaint={refusal(copy.error)?.message}
        />
        <p style={{ marginTop: "1rem" }}>
          <PrimaryButton isDisabled={called.trim() === "" || copy.isPending} onPress={() => copy.mutate()}>
            Copy it
          </PrimaryButton>
        </p>
      </Dialogue>
    </>
  );
}
