// A client's card: a line a machine, with its marks, how well it fits, and the way to setting it up or fitting it anew.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { predictionsQuery } from "../../api/queries";
import type { CardLine as CardLineData, ClientPage as ClientPageData, ExerciseName, Machine } from "../../api/types";
import { Choice } from "../../ui/Choice";
import { Notice } from "../../ui/Notice";
import { Empty, Rows, Section, SectionTitle } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { space } from "../../ui/tokens";
import { useOpenFitting } from "../shared/useOpenFitting";
import { May } from "../shared/May";
import { Barred, type KeptOff } from "./Barred";
import { CardLine } from "./CardLine";
import { Print } from "./Print";

const Filters = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${space(3)};
  margin-bottom: ${space(3)};
`;
const SHOWN = [
  ["all", say("card.everyMachine")],
  ["fits", say("card.whatFits")],
] as const;

/** A line a machine (on a station, an exercise): its marks in its own labels, how well it fits, who and when, and the way to the bench. */
export function Card({ page, id, locale }: { page: ClientPageData; id: string; locale: string }) {
  const opening = useOpenFitting(id);
  const predictions = useQuery(predictionsQuery(id));
  const every = fittedFirst(page);
  const [params, setParams] = useSearchParams();
  const place = params.get("place") ?? "";
  const fits = params.get("show") === "fits";
  const set = (name: string, value: string) =>
    setParams((before) => new URLSearchParams({ ...Object.fromEntries(before), [name]: value }), { replace: true });
  const predictionOf = (machine: Machine, exercise: ExerciseName) =>
    predictions.data?.predictions.find((one) => one.machine_id === machine.id && one.exercise === exercise);
  const lines = every.filter(({ machine }) => place === "" || machine.place === place);
  const open = lines.filter(
    ({ bars, machine, exercise, line }) =>
      bars.length === 0 && (!fits || line?.accepted?.grade || predictionOf(machine, exercise)?.status === "fits"),
  );
  const begin = whereToBegin(page, every);
  return (
    <Section aria-labelledby="card">
      <SectionTitle id="card">{say("card.card")}</SectionTitle>
      <May ask="cardToPrint">{every.length > 0 ? <Print id={id} /> : null}</May>
      {opening.error ? (
        <Notice tone="wrong">{refusal(opening.error)?.message ?? say("card.benchFailed")}</Notice>
      ) : null}
      {page.machines.length === 0 ? (
        <Empty>
          {say("card.noMachines")} <Link to="/machines/new">{say("card.enterFirst")}</Link>
        </Empty>
      ) : null}
      {places(page).length > 1 ? (
        <Filters>
          <Choice
            compact
            label={say("card.shown")}
            options={SHOWN}
            value={fits ? "fits" : "all"}
            onChange={(value) => set("show", value)}
          />
          <Select
            label={say("card.place")}
            options={[["", say("card.everyPlace")], ...places(page).map((one) => [one, one] as const)]}
            value={place}
            onChange={(value) => set("place", value)}
          />
        </Filters>
      ) : null}
      {open.length > 0 ? (
        <Rows>
          {open.map(({ machine, exercise, name, line }) => (
            <CardLine
              key={`${machine.id} ${exercise}`}
              prediction={predictionOf(machine, exercise)}
              machine={machine}
              name={name}
              line={line}
              replaces={page.card.find((one) => one.accepted && one.machine.replaced_by === machine.id)?.machine.name}
              first={`${machine.id} ${exercise}` === begin}
              locale={locale}
              busy={opening.isPending}
              onOpen={() => opening.mutate({ machineId: machine.id, exercise })}
            />
          ))}
        </Rows>
      ) : null}
      <Barred kept={lines.filter(({ bars }) => bars.length > 0).map(keptOff)} />
    </Section>
  );
}

/** What stands on the card, then what is open, then the rest. */
function fittedFirst(page: ClientPageData) {
  const rank = (line: CardLineData | undefined) => (line?.accepted ? 0 : line?.draft ? 1 : 2);
  return page.machines
    .flatMap((machine) => machine.lines.map((one) => ({ machine, ...one })))
    .map((entry) => ({
      ...entry,
      line: page.card.find((line) => line.machine.id === entry.machine.id && line.exercise === entry.exercise),
    }))
    .sort((one, other) => rank(one.line) - rank(other.line));
}

const places = (page: ClientPageData) => [...new Set(page.machines.map(({ place }) => place).filter(Boolean))].sort();

const keptOff = ({ machine, exercise, name, line, bars }: ReturnType<typeof fittedFirst>[number]): KeptOff => ({
  key: `${machine.id} ${exercise}`,
  name,
  place: machine.place,
  bars,
  fitting: line?.draft?.id ?? null,
});

/** A card that is still empty begins on a machine that can be advised on: taped, and in use. */
function whereToBegin(page: ClientPageData, lines: ReturnType<typeof fittedFirst>) {
  if (page.card.length > 0) return null;
  const open = lines.filter(({ bars }) => bars.length === 0);
  const line = open.find(({ machine }) => machine.taped === "taped" && machine.state === "in_use") ?? open[0];
  return line ? `${line.machine.id} ${line.exercise}` : null;
}
