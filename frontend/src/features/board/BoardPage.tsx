// Clients by machines: who was here lately, what was fitted, what is due again, where a gap is. How it is looked at stands in the address;
// no name does.
import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { boardQuery, meQuery } from "../../api/queries";
import type { Board } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { type Person, type Show, shown, type Sort } from "../../model/board";
import { BandShape } from "../../ui/Band";
import { Choice } from "../../ui/Choice";
import { Notice } from "../../ui/Notice";
import { Empty, Page, PageHead, Small, Strong, Title } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { colour, font, radius, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";

const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)} ${space(6)};
  align-items: end;
  margin-bottom: ${space(4)};
`;
/** Scrolls within itself; who it is stays in sight. */
const Frame = styled.div`
  position: relative;
  overflow-x: auto;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Grid = styled.table`
  border-collapse: collapse;
  width: 100%;
  th,
  td {
    border-bottom: 1px solid ${colour.line};
    text-align: center;
    padding: 0;
  }
  thead th {
    padding: ${space(2)} ${space(1)};
    font-family: ${font.mark};
    font-weight: ${font.strong};
    vertical-align: bottom;
  }
  th:first-child {
    position: sticky;
    left: 0;
    min-width: 11rem;
    padding: ${space(1)} ${space(3)};
    background: ${colour.panel};
    text-align: left;
    font-weight: ${font.regular};
    font-family: ${font.text};
  }
  td a {
    display: flex;
    align-items: center;
    justify-content: center;
    min-width: 44px;
    min-height: 48px;
    color: ${colour.inkMuted};
    text-decoration: none;
  }
  td a:hover {
    background: ${colour.actionQuiet};
  }
`;
const Legend = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)} ${space(5)};
  margin-top: ${space(3)};
  span {
    display: inline-flex;
    align-items: center;
    gap: ${space(1.5)};
  }
`;

const WEEKS = [
  ["4", say("boardPage.fourWeeks")],
  ["12", say("boardPage.twelveWeeks")],
  ["52", say("boardPage.aYear")],
] as const;
const SHOW: readonly (readonly [Show, string])[] = [
  ["all", say("boardPage.everybody")],
  ["gaps", say("boardPage.withGaps")],
  ["due", say("boardPage.dueFilter")],
];
const SORT: readonly (readonly [Sort, string])[] = [
  ["seen", say("boardPage.lastHere")],
  ["name", say("boardPage.byName")],
  ["gaps", say("boardPage.mostGaps")],
];
const EVERYWHERE = "@all";

export function BoardPage() {
  useTitle(say("boardPage.board"));
  const [query, setQuery] = useSearchParams();
  const weeks = query.get("weeks") ?? "4";
  const place = query.get("place");
  const board = useQuery(boardQuery(weeks, place));
  const me = useQuery(meQuery);
  const set = (name: string, value: string | null) =>
    setQuery(
      (before) => {
        const next = new URLSearchParams(before);
        if (value === null) next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  if (board.error)
    return (
      <Page>
        <PageHead>
          <Title>{say("boardPage.board")}</Title>
        </PageHead>
        <Notice tone="wrong">{refusal(board.error)?.message ?? say("boardPage.couldNotBeOpened")}</Notice>
      </Page>
    );
  if (!board.data || !me.data) return null;
  const show = (query.get("show") ?? "all") as Show;
  const sort = (query.get("sort") ?? "seen") as Sort;
  const locale = me.data.gym.locale;
  const people = shown(board.data.people, show, sort, locale);
  return (
    <Page>
      <PageHead>
        <Title>{say("boardPage.board")}</Title>
      </PageHead>
      <Options>
        <Choice
          label={say("boardPage.hereWithin")}
          options={WEEKS}
          value={weeks as "4"}
          onChange={(value) => set("weeks", value)}
        />
        <Choice label={say("boardPage.show")} options={SHOW} value={show} onChange={(value) => set("show", value)} />
        <Select label={say("boardPage.order")} options={SORT} value={sort} onChange={(value) => set("sort", value)} />
        <Select
          label={say("boardPage.machines")}
          options={[[EVERYWHERE, say("boardPage.all")], ...board.data.places.map((one) => [one, one] as const)]}
          value={place ?? EVERYWHERE}
          onChange={(value) => set("place", value === EVERYWHERE ? null : value)}
        />
      </Options>
      {people.length === 0 ? (
        <Empty>{say("boardPage.nobody")}</Empty>
      ) : (
        <Frame>
          <People people={people} machines={board.data.machines} locale={locale} />
        </Frame>
      )}
      <Legend>
        <span>
          <BandShape band="in line" /> {say("boardPage.fitted")}
        </span>
        <span>
          <BandShape band="close" /> {say("boardPage.dueAgain")}
        </span>
        <span>– {say("boardPage.unfitted")}</span>
        <span>× {say("boardPage.barred")}</span>
      </Legend>
    </Page>
  );
}

type PeopleProps = { people: readonly Person[]; machines: Board["machines"]; locale: string };

function People({ people, machines, locale }: PeopleProps) {
  return (
    <Grid aria-label={say("boardPage.caption")}>
      <thead>
        <tr>
          <th scope="col">{say("boardPage.client")}</th>
          {machines.map((machine) => (
            <th key={`${machine.id} ${machine.exercise}`} scope="col" title={machine.name}>
              <span aria-hidden="true">{shortName(machine)}</span>
              <span style={{ position: "absolute", clipPath: "inset(50%)" }}>{machine.name}</span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {people.map((person) => (
          <tr key={person.id} data-person={person.name}>
            <th scope="row">
              <Link to={`/clients/${person.id}`}>
                <Strong>{person.name}</Strong>
              </Link>
              <br />
              <Small>{[person.detail, momentText(person.seen_at, locale)].filter(Boolean).join(" · ")}</Small>
            </th>
            {person.cells.map((cell, index) => (
              <td key={index} data-cell={cell.state}>
                <Cell cell={cell} person={person} machine={machines[index]?.name ?? ""} />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </Grid>
  );
}

/** As on the machine's tag; of a station with the exercise's first letter. */
const shortName = ({ code, name, exercise }: Board["machines"][number]) =>
  `${code || name.slice(0, 4)}${exercise ? ` ${exercise.slice(0, 1)}` : ""}`;

const BANDS = { due: "close", fitted: "in line" } as const;

type CellProps = { cell: Person["cells"][number]; person: Person; machine: string };

function Cell({ cell, person, machine }: CellProps) {
  if (cell.state === "barred")
    return (
      <Link to={`/clients/${person.id}`} aria-label={say("boardPage.barredOn", { machine, why: cell.why.join(" ") })}>
        ×
      </Link>
    );
  if (cell.state === "gap" || !cell.fitting_id)
    return (
      <Link to={`/clients/${person.id}`} aria-label={say("boardPage.gapOn", { machine })}>
        –
      </Link>
    );
  const words =
    cell.state === "due"
      ? say("boardPage.dueOn", { machine, why: cell.why.join(" ") })
      : say("boardPage.fittedOn", { machine });
  return (
    <Link to={`/fittings/${cell.fitting_id}/set-up`} aria-label={words}>
      <BandShape band={BANDS[cell.state]} />
    </Link>
  );
}
