// A machine's facts and adjusters, for entering and for correcting. What was typed stays when the server refuses it, and
// across a reload.
import { say } from "../../lib/say";
import { type ReactNode, useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { complaintAt, refusal } from "../../api/client";
import type { Family } from "../../api/types";
import { askedOf, type MachineDraft, partsOf, problemsOf } from "../../model/machineDraft";
import { PrimaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle } from "../../ui/Page";
import { Tick } from "../../ui/Tick";
import { breakpoint, colour, radius, space } from "../../ui/tokens";
import { FamilyChoice } from "./FamilyChoice";
import { LoadingFields } from "./LoadingFields";
import { MachinePart } from "./MachinePart";
import { MovesFields } from "./MovesFields";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(6)};
  max-width: 60rem;
  padding: ${space(6)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  @media ${breakpoint.phone} {
    padding: ${space(4)};
  }
`;
const Row = styled.div`
  display: grid;
  grid-template-columns: 2fr 1fr 2fr;
  gap: ${space(4)};
  align-items: start;
  & + & {
    margin-top: ${space(4)};
  }
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Stack = styled.div`
  display: grid;
  gap: ${space(4)};
  justify-items: stretch;
  > button {
    justify-self: start;
  }
`;
const Actions = styled.div`
  display: flex;
  gap: ${space(4)};
`;

const STATES = [
  ["in_use", say("machineForm.inUse")],
  ["out_of_order", say("machineForm.closedState")],
  ["retired", say("machineForm.retired")],
  ["considered", say("machineForm.considered")],
] as const;

type TextField = {
  [name in keyof MachineDraft]: MachineDraft[name] extends string
    ? string extends MachineDraft[name]
      ? name
      : never
    : never;
}[keyof MachineDraft];

type Props = {
  draft: MachineDraft;
  onChange: (draft: MachineDraft) => void;
  families: readonly Family[];
  /** a new machine still chooses its family */
  entering: boolean;
  action: string;
  back: string;
  busy: boolean;
  thrown: unknown;
  onSubmit: (draft: MachineDraft, family: Family) => void;
  children?: ReactNode;
};

export function MachineForm(props: Props) {
  const { draft, onChange, families, entering, action, back, busy, thrown, onSubmit } = props;
  const [shown, setShown] = useState(false);
  const family = families.find(({ id }) => id === draft.family);
  const problems = shown ? problemsOf(draft, family) : {};
  const set = (fields: Partial<MachineDraft>) => onChange({ ...draft, ...fields });
  const error = refusal(thrown);
  const submit = () => {
    setShown(true);
    if (family && Object.keys(problemsOf(draft, family)).length === 0) onSubmit(draft, family);
  };
  const field = (name: TextField, path?: string) => ({
    value: draft[name],
    onChange: (value: string) => set({ [name]: value }),
    complaint: problems[name] ?? (path ? complaintAt(thrown, path) : undefined),
    autoComplete: "off" as const,
  });
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      {error && !["/name", "/code"].includes(error.path) ? <Notice tone="wrong">{error.message}</Notice> : null}
      {Object.keys(problems).length > 0 ? (
        <Notice tone="wrong">
          {say("machineForm.problemsTitle")} {Object.values(problems)[0]} {say("machineForm.keptNotice")}
        </Notice>
      ) : null}
      {entering ? (
        <FamilyChoice
          families={families}
          value={draft.family}
          onChange={(id) => set({ family: id, parts: { "": [] }, absent: [], moves: { in: [], out: [] } })}
        />
      ) : null}
      <Section>
        <Row>
          <Field label={say("machineForm.name")} isRequired maxLength={80} {...field("name", "/name")} />
          <Field
            label={say("machineForm.codeLabel")}
            hint={say("machineForm.optionalHint")}
            maxLength={20}
            {...field("code", "/code")}
          />
          <Field label={say("machineForm.placeLabel")} maxLength={80} {...field("place")} />
        </Row>
        {entering ? null : (
          <Row>
            <Choice
              label={say("machineForm.state")}
              options={STATES}
              value={draft.state}
              onChange={(state) => set({ state })}
            />
            <span />
            <Field label={say("machineForm.closedReason")} maxLength={200} {...field("stateNote")} />
          </Row>
        )}
      </Section>
      {family
        ? partsOf(family).map((part) => (
            <MachinePart
              key={part.name}
              title={part.title}
              adjusters={draft.parts[part.name] ?? []}
              family={family}
              part={part.name}
              problems={problems}
              asked={askedOf(draft, family, part.name)}
              onAbsent={(key) => set({ absent: [...(draft.absent ?? []), key] })}
              nextKey={1 + Math.max(-1, ...Object.values(draft.parts).flatMap((list) => list.map(({ key }) => key)))}
              onChange={(adjusters) => set({ parts: { ...draft.parts, [part.name]: adjusters } })}
            />
          ))
        : null}
      <Section>
        <SectionTitle>{say("machineForm.walkRound")}</SectionTitle>
        <Stack>
          {family ? <MovesFields family={family} moves={draft.moves} onChange={(moves) => set({ moves })} /> : null}
          <Field
            label={say("machineForm.gettingIn")}
            hint={say("machineForm.entryHint")}
            maxLength={400}
            {...field("gettingIn")}
          />
          <Field
            label={say("machineForm.gettingOut")}
            hint={say("machineForm.startHint")}
            maxLength={400}
            {...field("gettingOut")}
          />
          <Field
            label={say("machineForm.leftLabel")}
            hint={say("machineForm.accessHint")}
            maxLength={400}
            {...field("leftBehind")}
          />
          <Row>
            <Field
              label={say("machineForm.slackLabel")}
              hint={say("machineForm.backstopHint")}
              {...field("slackFrom")}
            />
            <Field label={say("machineForm.massLabel")} {...field("massLimit")} />
            <Field label={say("machineForm.ageLabel")} {...field("leastAge")} />
          </Row>
          <Tick isSelected={draft.cushionsAllowed} onChange={(cushionsAllowed) => set({ cushionsAllowed })}>
            {say("machineForm.firmTick")}
          </Tick>
          <Tick isSelected={draft.belt} onChange={(belt) => set({ belt })}>
            {say("machineForm.beltTick")}
          </Tick>
          <Tick isSelected={draft.oneLeg} onChange={(oneLeg) => set({ oneLeg })}>
            {say("machineForm.oneLegTick")}
          </Tick>
          <LoadingFields loading={draft.loading} problems={problems} onChange={(loading) => set({ loading })} />
        </Stack>
      </Section>
      <Actions>
        <PrimaryButton type="submit" isDisabled={busy}>
          {action}
        </PrimaryButton>
        <QuietLink to={back}>{say("machineForm.back")}</QuietLink>
      </Actions>
    </Sheet>
  );
}
