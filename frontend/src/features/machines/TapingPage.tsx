// Taping a machine, one length a step: where the tape goes, what is odd about what was read, and live how three people would sit.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { machineQuery, meQuery } from "../../api/queries";
import type { MachinePage } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { TapedDrawing } from "../../scene/TapedDrawing";
import type { LengthUnit } from "../../lib/lengths";
import { lengthWords } from "../../model/machineLengths";
import { Choice } from "../../ui/Choice";
import { PrimaryLink, SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, Section, SectionTitle, Title } from "../../ui/Page";
import {
  GuidedColumns,
  GuidedEnds,
  GuidedHead,
  GuidedItem,
  GuidedList,
  GuidedPicture,
  LENGTH_UNITS,
} from "../../ui/Guided";
import { space } from "../../ui/tokens";
import { LengthForm } from "./LengthForm";
import { PeopleInWords, PeopleOnIt } from "./PeopleOnIt";
import { TravelForm } from "./TravelForm";
import type { TapeStep } from "./tapeSteps";
import { useTaping } from "./useTaping";

const Middle = styled.div`
  display: grid;
  gap: ${space(3)};
`;

const Picture = styled(GuidedPicture)`
  height: min(44vh, 24rem);
`;

export function TapingPage() {
  const { id = "" } = useParams();
  const page = useQuery({ ...machineQuery(id), refetchOnWindowFocus: false });
  const me = useQuery(meQuery);
  useTitle(page.data ? say("tapingPage.tapeName", { name: page.data.machine.name }) : say("tapingPage.title"));
  if (page.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(page.error)?.message ?? say("tapingPage.failed")}</Notice>
      </Page>
    );
  if (!page.data || !me.data) return null;
  return <Taping id={id} page={page.data} unitAtFirst={me.data.length_unit} locale={me.data.gym.locale} />;
}

type Props = { id: string; page: MachinePage; unitAtFirst: LengthUnit; locale: string };

function Taping({ id, page, unitAtFirst, locale }: Props) {
  const taping = useTaping(id, page, unitAtFirst);
  if (!taping) return null;
  const { exercise, steps, step, unit, trial, keep } = taping;
  const open = steps.filter(({ done }) => !done).length;
  const Leave = open === 0 ? PrimaryLink : SecondaryLink;
  const common = { unit, locale, trial, busy: keep.isPending, thrown: keep.error, said: taping.said };
  return (
    <Page>
      <GuidedHead>
        <div>
          <Title>
            {say("tapingPage.tape")} {page.machine.name}
          </Title>
          <Muted>{say("tapingPage.instruction")}</Muted>
        </div>
        <GuidedEnds>
          {page.exercises.length > 1 ? (
            <Choice
              compact
              label={say("tapingPage.exercise")}
              options={page.exercises.map(({ name, title }) => [name, title ?? name] as const)}
              value={exercise.name}
              onChange={taping.turnTo}
            />
          ) : null}
          <Choice
            compact
            label={say("tapingPage.unit")}
            options={LENGTH_UNITS}
            value={unit}
            onChange={taping.setUnit}
          />
          <Leave to={`/machines/${id}`}>
            {open === 0 ? say("tapingPage.doneLink") : say("tapingPage.machineLink")}
          </Leave>
        </GuidedEnds>
      </GuidedHead>
      <GuidedColumns>
        <GuidedList aria-label={say("tapingPage.lengths")}>
          {steps.map((one) => (
            <li key={one.id}>
              <GuidedItem onPress={() => taping.choose(one.id)} aria-current={one.id === step?.id ? "step" : undefined}>
                <span>{one.title}</span>
                <small>{stateOf(one, unit)}</small>
              </GuidedItem>
            </li>
          ))}
        </GuidedList>
        <Middle>
          <Picture>
            {step ? (
              <TapedDrawing
                drawing={(trial ?? exercise).drawing}
                hand={step.length ? { constant: step.length.name } : { travel: step.adjuster?.label ?? "" }}
                title={step.title}
              />
            ) : null}
          </Picture>
          {trial ? <PeopleInWords trial={trial} /> : null}
        </Middle>
        {step?.length ? (
          <LengthForm
            key={`${exercise.name} ${step.id} ${unit}`}
            {...common}
            length={step.length}
            onTyped={(value) => taping.type(value === null ? null : { name: step.id, value })}
            onKeep={(value, confirmed) => keep.mutate({ name: step.id, value, confirmed })}
          />
        ) : step?.adjuster ? (
          <TravelForm
            key={`${exercise.name} ${step.id} ${unit}`}
            {...common}
            adjuster={step.adjuster}
            drives={step.drives}
            onTyped={(travel) => taping.type(travel === null ? null : { adjuster: step.adjuster?.label ?? "", travel })}
            onKeep={(travel, confirmed) => keep.mutate({ adjuster: step.adjuster?.label ?? "", travel, confirmed })}
          />
        ) : null}
      </GuidedColumns>
      {trial?.people.some(({ scene }) => scene) ? (
        <Section style={{ marginTop: "1.5rem" }}>
          <SectionTitle>{say("tapingPage.peopleTitle")}</SectionTitle>
          <PeopleOnIt trial={trial} />
        </Section>
      ) : null}
    </Page>
  );
}

function stateOf(step: TapeStep, unit: LengthUnit): string {
  const copied = (step.length?.taped ?? step.adjuster?.taped)?.copied ? say("tapingPage.copied") : "";
  if (step.length) return (lengthWords(step.length, unit) ?? say("tapingPage.open")) + copied;
  return (step.done ? say("tapingPage.taped") : say("tapingPage.open")) + copied;
}
