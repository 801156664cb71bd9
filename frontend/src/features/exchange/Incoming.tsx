// What comes in: a file is chosen, looked through row by row, and taken in whole or not at all.
import { useState } from "react";
import { FileTrigger } from "react-aria-components";
import styled from "styled-components";
import { refusal } from "../../api/client";
import type { ImportKind, LengthUnit, MassUnit } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { space } from "../../ui/tokens";
import { KINDS, measured } from "./kinds";
import { LookedThrough } from "./LookedThrough";
import { Progress } from "./Progress";
import { useIncoming } from "./useIncoming";

const Choices = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
  gap: ${space(4)};
  max-width: 40rem;
  margin-bottom: ${space(4)};
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(3)};
  margin: ${space(4)} 0;
`;
const LENGTHS: readonly (readonly [LengthUnit, string])[] = [
  ["cm", say("exchange.cm")],
  ["mm", say("exchange.mm")],
  ["m", say("exchange.m")],
  ["in", say("exchange.in")],
];
const MASSES: readonly (readonly [MassUnit, string])[] = [
  ["kg", say("exchange.kg")],
  ["lb", say("exchange.lb")],
];
const TYPES = [".csv", ".txt", ".tsv", ".json", "text/csv", "application/json"];

export function Incoming() {
  const [kind, setKind] = useState<ImportKind>("clients");
  const [lengthUnit, setLengthUnit] = useState<LengthUnit>("cm");
  const [massUnit, setMassUnit] = useState<MassUnit>("kg");
  const [file, setFile] = useState<File | null>(null);
  const { now, look, take, stop } = useIncoming();
  const again = () => {
    stop();
    setFile(null);
  };
  const choose = (files: FileList | null) => {
    again();
    setFile(files?.[0] ?? null);
  };
  const looked = take.data ? null : look.data;
  const wrong = refusal(take.error) ?? refusal(look.error);
  return (
    <Section>
      <SectionTitle>{say("exchange.takeIn")}</SectionTitle>
      {look.isPending && now ? (
        <Progress now={now} onStop={again} />
      ) : (
        <>
          <Choices>
            <Select label={say("exchange.kind")} options={KINDS} value={kind} onChange={setKind} />
            {measured(kind) ? (
              <>
                <Select
                  label={say("exchange.lengthUnit")}
                  options={LENGTHS}
                  value={lengthUnit}
                  onChange={setLengthUnit}
                />
                <Select label={say("exchange.massUnit")} options={MASSES} value={massUnit} onChange={setMassUnit} />
              </>
            ) : null}
          </Choices>
          {measured(kind) ? <Small>{say("exchange.unitsHint")}</Small> : null}
          <Ways>
            <FileTrigger acceptedFileTypes={TYPES} onSelect={choose}>
              <SecondaryButton>{file ? say("exchange.anotherFile") : say("exchange.fileButton")}</SecondaryButton>
            </FileTrigger>
            {file ? <Strong>{file.name}</Strong> : null}
            {file && !looked && !take.data ? (
              <PrimaryButton
                isDisabled={look.isPending || file.size === 0}
                onPress={() => look.mutate({ kind, file, lengthUnit, massUnit })}
              >
                {say("exchange.lookThrough")}
              </PrimaryButton>
            ) : null}
          </Ways>
          {file?.size === 0 ? <Notice tone="wrong">{say("exchange.emptyFile")}</Notice> : null}
          {wrong ? <Notice tone="wrong">{wrong.message}</Notice> : null}
        </>
      )}
      {looked ? (
        <LookedThrough
          page={looked}
          busy={take.isPending}
          onTake={(taking) => take.mutate({ id: looked.id, ...taking })}
          onStop={again}
        />
      ) : null}
      {take.data ? (
        <Notice>
          <span role="status">
            {say("exchange.taken", { added: take.data.counts.add, changed: take.data.counts.change })}
          </span>
        </Notice>
      ) : null}
    </Section>
  );
}
