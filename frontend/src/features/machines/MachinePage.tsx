// A machine's page: what it is and needs, its adjusters and lengths, who fits it, what its fittings used.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { machineQuery, meQuery } from "../../api/queries";
import type { MachineExercise, MachinePage as MachinePageData } from "../../api/types";
import { May } from "../shared/May";
import { useMay } from "../shared/useMay";
import { useTitle } from "../../ui/useTitle";
import type { LengthUnit } from "../../lib/lengths";
import { Choice } from "../../ui/Choice";
import { PrimaryLink, QuietLink, SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Section, SectionTitle, Strong, Title } from "../../ui/Page";
import { breakpoint, space } from "../../ui/tokens";
import { AdjusterList } from "./AdjusterList";
import { ByFittings } from "./ByFittings";
import { Copy } from "./Copy";
import { LengthTable } from "./LengthTable";
import { MachineFittings } from "./MachineFittings";
import { PeopleOnIt } from "./PeopleOnIt";
import { WalkRound } from "./WalkRound";
import { ChangedAdvice, WhoFits } from "./WhoFits";
import { Widening } from "./Widening";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: ${space(7)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
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
  useTitle(page.data?.machine.name ?? say("machinePage.machine"));
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message ?? say("machinePage.failed")}</Notice>
        <QuietLink to="/machines">{say("machinePage.listLink")}</QuietLink>
      </Page>
    );
  if (!page.data || !me.data) return null;
  return <Machine id={id} page={page.data} unit={me.data.length_unit} locale={me.data.gym.locale} />;
}

type Props = { id: string; page: MachinePageData; unit: LengthUnit; locale: string };

function Machine({ id, page, unit, locale }: Props) {
  const { machine } = page;
  const may = useMay();
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
          <May ask="tapeMachine">
            <Tape to={`/machines/${id}/tape`}>{TAPE[machine.taped]}</Tape>
          </May>
          <SecondaryLink to={`/machines/${id}/queue${exercise.name ? `?exercise=${exercise.name}` : ""}`}>
            {say("machinePage.nextHere")}
          </SecondaryLink>
          <SecondaryLink to={`/machines/${id}/sheet${exercise.name ? `?exercise=${exercise.name}` : ""}`}>
            {say("machinePage.wallSheet")}
          </SecondaryLink>
          <May ask="correctMachine">
            <SecondaryLink to={`/machines/${id}/correct`}>{say("machinePage.correct")}</SecondaryLink>
            <Copy id={id} name={machine.name} />
          </May>
          <May ask="replacement">
            <SecondaryLink to={`/machines/${id}/replace${page.replaced_by ? `?instead=${page.replaced_by.id}` : ""}`}>
              {say("machinePage.replace")}
            </SecondaryLink>
          </May>
        </Push>
      </PageHead>
      <StateNotice page={page} />
      {page.exercises.length > 1 ? (
        <p style={{ marginBottom: "1.25rem" }}>
          <Choice
            compact
            label={say("machinePage.exercise")}
            options={page.exercises.map(({ name, title }) => [name, title ?? name] as const)}
            value={exercise.name}
            onChange={setExerciseName}
          />
        </p>
      ) : null}
      <Columns>
        <div>
          <Section>
            <SectionTitle>{say("machinePage.fitsTitle")}</SectionTitle>
            {exercise.told.length > 0 && may("population") ? (
              <>
                <WhoFits id={id} exercise={exercise.name} />
                {may("widening") ? <Widening id={id} exercise={exercise.name} version={page.version} /> : null}
              </>
            ) : (
              <Empty>{say("machinePage.untapedNotice")}</Empty>
            )}
          </Section>
          <May ask="changes">
            <ChangedAdvice id={id} number={page.number} />
          </May>
          <Section>
            <SectionTitle>{say("machinePage.adjustersTitle")}</SectionTitle>
            <AdjusterList id={id} page={page} exercise={exercise} unit={unit} />
          </Section>
          <MachineFittings page={page} exercise={exercise.name} locale={locale} />
        </div>
        <div>
          <Section>
            <SectionTitle>{say("machinePage.lengths")}</SectionTitle>
            <LengthTable exercise={exercise} unit={unit} locale={locale} />
          </Section>
          {may("machineErrors") ? <ByFittings id={id} page={page} exercise={exercise} unit={unit} /> : null}
          <Section>
            <SectionTitle>{say("machinePage.worksTitle")}</SectionTitle>
            <Strong>{exercise.purpose.title}</Strong>
            <p>{exercise.purpose.says}</p>
            <p>{exercise.purpose.muscles}</p>
          </Section>
          <WalkRound id={id} page={page} />
        </div>
      </Columns>
      {exercise.told.length > 0 ? <ThreePeople exercise={exercise} /> : null}
    </Page>
  );
}

const TAPE = {
  untaped: say("machinePage.tapeIt"),
  partly: say("machinePage.tapeMore"),
  taped: say("machinePage.tapeAgain"),
};

function StateNotice({ page }: { page: MachinePageData }) {
  const { machine } = page;
  const lines = [
    machine.state === "out_of_order"
      ? say("machinePage.closedNotice", { what: machine.state_note ? `: ${machine.state_note}` : "" })
      : null,
    machine.state === "retired" ? say("machinePage.retiredNotice") : null,
    machine.state === "considered" ? say("machinePage.consideredNotice") : null,
    page.replaced_by ? say("machinePage.replacedNotice", { name: page.replaced_by.name }) : null,
    machine.state === "in_use" && machine.state_note ? machine.state_note : null,
    page.copied_from ? say("machinePage.copiedNotice", { copiedfrom: page.copied_from }) : null,
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
      <SectionTitle>{say("machinePage.peopleTitle")}</SectionTitle>
      {exercise.remarks.map((remark) => (
        <Notice key={remark.says}>{remark.says}</Notice>
      ))}
      <PeopleOnIt trial={exercise} />
    </Section>
  );
}
