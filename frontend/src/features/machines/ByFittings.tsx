// How far a machine sits from its tape, by the fittings on it that were checked by eye; one press takes it in, after the
// tape was asked.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import { machineErrorsQuery, machineQuery } from "../../api/queries";
import type { MachineError, MachineExercise, MachinePage } from "../../api/types";
import type { LengthUnit } from "../../lib/lengths";
import { say } from "../../lib/say";
import { lengthWords } from "../../model/machineLengths";
import { RequiredAccepted } from "../../scene/RequiredAccepted";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { SecondaryLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Section, SectionTitle, Strong } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { May } from "../shared/May";

const Length = styled.div`
  display: grid;
  gap: ${space(2)};
  margin-bottom: ${space(5)};
`;
const Ways = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-top: ${space(4)};
`;

type Props = { id: string; page: MachinePage; exercise: MachineExercise; unit: LengthUnit };

export function ByFittings({ id, page, exercise, unit }: Props) {
  const errors = useQuery(machineErrorsQuery(id, page.version));
  const here = errors.data?.filter((one) => one.exercise === exercise.name) ?? [];
  if (here.length === 0) return null;
  return (
    <Section>
      <SectionTitle>{say("byFittings.title")}</SectionTitle>
      {here.map((error) => {
        const length = exercise.lengths.find(({ name }) => name === error.constant);
        const worded = (value: number) => (length && lengthWords({ ...length, value }, unit)) ?? "";
        return (
          <OfLength
            key={error.constant}
            id={id}
            page={page}
            error={error}
            was={worded(error.value)}
            corrected={error.corrected === null ? null : worded(error.corrected)}
          />
        );
      })}
    </Section>
  );
}

type LengthProps = { id: string; page: MachinePage; error: MachineError; was: string; corrected: string | null };

function OfLength({ id, page, error, was, corrected }: LengthProps) {
  const [asked, setAsked] = useState(false);
  return (
    <Length data-by-fittings={error.constant}>
      <Strong>{error.title}</Strong>
      <p>{error.says}</p>
      {error.drift ? <Notice tone="wrong">{error.drift}</Notice> : null}
      <RequiredAccepted error={error} />
      <Muted>
        {say("byFittings.dots")} {error.fits.some(({ lately }) => lately) ? say("byFittings.lately") : null}
      </Muted>
      {corrected === null ? null : (
        <May ask="tapeMachine">
          <p>
            <SecondaryButton onPress={() => setAsked(true)}>
              {say("byFittings.take", { length: corrected })}
            </SecondaryButton>
          </p>
          <TakeIn
            id={id}
            page={page}
            error={error}
            was={was}
            corrected={corrected}
            isOpen={asked}
            onClose={() => setAsked(false)}
          />
        </May>
      )}
    </Length>
  );
}

type TakeInProps = LengthProps & { isOpen: boolean; onClose: () => void };

function TakeIn({ id, page, error, was, corrected, isOpen, onClose }: TakeInProps) {
  const queryClient = useQueryClient();
  const take = useMutation({
    mutationFn: () =>
      unwrap(
        api.PUT("/api/machines/{id}/lengths", {
          params: { path: { id }, header: newKey() },
          body: {
            version: page.version,
            exercise: error.exercise,
            name: error.constant,
            value: error.corrected,
            learned: true,
            confirmed: true,
          },
        }),
      ),
    onSuccess: async (next) => {
      onClose();
      queryClient.setQueryData(machineQuery(id).queryKey, next);
      await queryClient.invalidateQueries({ queryKey: keys.machines });
      await queryClient.invalidateQueries({ queryKey: keys.population(id) });
    },
  });
  return (
    <Dialogue title={say("byFittings.askTape", { title: error.title })} isOpen={isOpen} onClose={onClose}>
      {take.error ? <Notice tone="wrong">{refusal(take.error)?.message}</Notice> : null}
      <p>{say("byFittings.tapeFirst", { was })}</p>
      <p style={{ marginTop: space(3) }}>
        <Muted>{say("byFittings.newVersion", { count: error.count })}</Muted>
      </p>
      <Ways>
        <PrimaryButton onPress={() => take.mutate()} isDisabled={take.isPending}>
          {say("byFittings.takeNow", { length: corrected ?? was })}
        </PrimaryButton>
        <SecondaryLink to={`/machines/${id}/tape`}>{say("byFittings.tapeAgain")}</SecondaryLink>
      </Ways>
    </Dialogue>
  );
}
