// A client's card: a line a machine, with its marks, how well it fits, and the way to setting it up or fitting it anew.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { predictionsQuery } from "../../api/queries";
import type {
  CardLine as CardLineData,
  ClientPage as ClientPageData,
  ExerciseName,
  Machine,
  Prediction,
} from "../../api/types";
import { momentText } from "../../lib/dates";
import { BandName } from "../../ui/Band";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { QuietLink, SecondaryLink } from "../../ui/LinkButton";
import { MarkRow, MarkTag, MarkTags } from "../../ui/MarkTag";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { breakpoint, colour, size, space } from "../../ui/tokens";
import { Needs } from "../shared/Needs";
import { useOpenFitting } from "../shared/useOpenFitting";
import { Predicted } from "./Predicted";
import { Print } from "./Print";

const CardRow = styled.li`
  display: grid;
  grid-template-columns: minmax(10rem, 2fr) minmax(0, 3fr) minmax(5rem, auto);
  gap: ${space(3)} ${space(4)};
  align-items: center;
  padding: ${space(4)};
  @media ${breakpoint.phone} {
    grid-template-columns: 1fr;
  }
`;
const End = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  justify-content: flex-end;
`;
/** A line a machine (on a station, an exercise): its marks in its own labels, how well it fits, who and when, and the way to the bench. */
export function Card({ page, id, locale }: { page: ClientPageData; id: string; locale: string }) {
  const opening = useOpenFitting(id);
  const predictions = useQuery(predictionsQuery(id));
  const lines = fittedFirst(page);
  const begin = whereToBegin(page, lines);
  return (
    <Section aria-labelledby="card">
      <SectionTitle id="card">{say("card.card")}</SectionTitle>
      {lines.some(({ line }) => line?.accepted) ? <Print id={id} /> : null}
      {opening.error ? (
        <Notice tone="wrong">{refusal(opening.error)?.message ?? say("card.theBenchCouldNotBe")}</Notice>
      ) : null}
      {page.machines.length === 0 ? (
        <Empty>
          {say("card.theGymHasNoMachines")} <Link to="/machines/new">{say("card.enterTheFirstOne")}</Link>
        </Empty>
      ) : null}
      <Rows>
        {lines.map(({ machine, exercise, name, line, bars }) => (
          <CardLine
            key={`${machine.id} ${exercise}`}
            bars={bars}
            prediction={predictions.data?.predictions.find(
              (one) => one.machine_id === machine.id && one.exercise === exercise,
            )}
            machine={machine}
            name={name}
            line={line}
            first={`${machine.id} ${exercise}` === begin}
            locale={locale}
            busy={opening.isPending}
            onOpen={() => opening.mutate({ machineId: machine.id, exercise })}
          />
        ))}
      </Rows>
    </Section>
  );
}

const linesOf = (machine: Machine): { machine: Machine; exercise: ExerciseName; name: string }[] =>
  machine.exercises.length === 0
    ? [{ machine, exercise: "", name: machine.name }]
    : machine.exercises.map(({ name, title }) => ({
        machine,
        exercise: name,
        name: `${machine.name}: ${title.toLowerCase()}`,
      }));

/** What stands on the card, then what is open, then the rest. */
function fittedFirst(page: ClientPageData) {
  const rank = (line: CardLineData | undefined) => (line?.accepted ? 0 : line?.draft ? 1 : 2);
  return page.machines
    .flatMap(linesOf)
    .map((entry) => ({
      ...entry,
      line: page.card.find((line) => line.machine.id === entry.machine.id && line.exercise === entry.exercise),
      bars: page.machines.find(({ id }) => id === entry.machine.id)?.bars[entry.exercise] ?? [],
    }))
    .sort((one, other) => rank(one.line) - rank(other.line));
}

/** A card that is still empty begins on a machine that can be advised on: taped, and in use. */
function whereToBegin(page: ClientPageData, lines: ReturnType<typeof fittedFirst>) {
  if (page.card.length > 0) return null;
  const open = lines.filter(({ bars }) => bars.length === 0);
  const line = open.find(({ machine }) => machine.taped === "taped" && machine.state === "in_use") ?? open[0];
  return line ? `${line.machine.id} ${line.exercise}` : null;
}

const Said = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${space(1)};
  margin-top: ${space(1)};
`;

const Warned = styled.p`
  font-size: ${size.small};
  color: ${colour.closeInk};
`;
const Barred = styled.p`
  font-size: ${size.small};
  color: ${colour.off};
`;

type LineProps = {
  machine: Machine;
  name: string;
  line: CardLineData | undefined;
  /** why this client is kept off it */
  bars: readonly string[];
  /** what would be advised; nothing while it is computed */
  prediction: Prediction | undefined;
  first: boolean;
  locale: string;
  busy: boolean;
  onOpen: () => void;
};

function NotFitted({ barred, prediction }: { barred: boolean; prediction: Prediction | undefined }) {
  if (barred) return null;
  return prediction ? <Predicted prediction={prediction} /> : <Muted>{say("card.notFittedYet")}</Muted>;
}

function CardLine({ machine, name, line, bars, prediction, first, locale, busy, onOpen }: LineProps) {
  const accepted = line?.accepted;
  // Nobody is set up by marks with which something is wrong today.
  const keptOff = [...bars, ...(line?.outdated ?? [])];
  const Start = first ? PrimaryButton : SecondaryButton;
  return (
    <CardRow data-machine={name}>
      <div>
        <Strong>{name}</Strong>
        <br />
        <Small>{machine.place}</Small>
        {accepted ? (
          <>
            <br />
            <Small>
              {accepted.by}, {momentText(accepted.accepted_at, locale)}
            </Small>
          </>
        ) : null}
        <Needs machine={machine} quiet />
      </div>
      <div>
        {accepted && keptOff.length === 0 ? (
          <>
            <MarkRow>
              <MarkTags tags={accepted.marks} />
              {accepted.load ? <MarkTag label={say("card.load")} mark={accepted.load} /> : null}
            </MarkRow>
            <Said>
              <BandName band={accepted.grade} />
              {accepted.checked ? <Small>{say("card.seenByEye")}</Small> : null}
            </Said>
            {accepted.cushions.map((cushion) => (
              <Small key={cushion}>{cushion} </Small>
            ))}
            {accepted.remeasured ? <Warned>{say("card.aLengthWasReadSince")}</Warned> : null}
          </>
        ) : accepted ? null : (
          <NotFitted barred={bars.length > 0} prediction={prediction} />
        )}
        {line?.outdated.map((one) => (
          <Barred key={one}>{one}</Barred>
        ))}
        {bars.map((bar) => (
          <Barred key={bar}>
            <Strong>{say("card.barred")}</Strong> {bar}
          </Barred>
        ))}
      </div>
      <End>
        {bars.length > 0 ? (
          line?.draft ? (
            <QuietLink to={`/fittings/${line.draft.id}`}>{say("card.seeTheOpenFitting")}</QuietLink>
          ) : null
        ) : (
          <>
            {accepted && keptOff.length === 0 ? (
              <SecondaryLink to={`/fittings/${accepted.id}/set-up`}>
                {say("card.setUp")}
                <On name={name} />
              </SecondaryLink>
            ) : null}
            {line?.draft ? (
              <SecondaryLink to={`/fittings/${line.draft.id}`}>{say("card.resume")}</SecondaryLink>
            ) : (
              <Start onPress={onOpen} isDisabled={busy}>
                {accepted ? say("card.fitAgain") : say("card.fit")}
                <On name={name} />
              </Start>
            )}
          </>
        )}
      </End>
    </CardRow>
  );
}

/** Said for a screen reader, where the row's name is not read with its button. */
function On({ name }: { name: string }) {
  return (
    <span style={{ position: "absolute", clipPath: "inset(50%)" }}>
      {" "}
      {say("card.on")} {name}
    </span>
  );
}
