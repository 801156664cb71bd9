// The rounds of a group by its stations: this one, the next and the one after; one station alone on its own tablet.
import { Link } from "react-router";
import styled from "styled-components";
import type { Circle } from "../../api/types";
import { say } from "../../lib/say";
import { breakpoint, colour, font, radius, size, space } from "../../ui/tokens";
import { MoveList } from "./Moves";

const Grid = styled.table`
  width: 100%;
  table-layout: fixed;
  border-collapse: separate;
  border-spacing: ${space(2)};
  th {
    text-align: left;
    vertical-align: top;
    font-size: ${size.large};
  }
  col:first-child {
    width: 6.5rem;
  }
  @media ${breakpoint.phone} {
    table-layout: auto;
    display: block;
    overflow-x: auto;
  }
`;
const Cell = styled.td`
  height: 7.5rem;
  min-width: 10rem;
  padding: ${space(3)} ${space(4)};
  vertical-align: top;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  &[data-now] {
    border: 2px solid ${colour.action};
    background: ${colour.actionQuiet};
  }
`;
/** As large as there is room for: names are read from five metres. */
const Who = styled.span<{ $large: boolean }>`
  display: block;
  font-size: ${({ $large }) => ($large ? size.mark : size.title)};
  font-weight: ${font.strong};
  line-height: 1.15;
  overflow-wrap: anywhere;
`;
const Says = styled.span`
  display: block;
  font-size: ${size.large};
  line-height: 1.3;
`;
const Marks = styled.span`
  display: block;
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.title};
`;

type CellData = Circle["rounds"][number]["cells"][number];
/** So many rounds are shown from the one that is worked in. */
const SHOWN = 3;
/** Up to so many stations have room for large names. */
const WIDE = 4;

export function GroupGrid({ circle, station }: { circle: Circle; station: string | null }) {
  const { rounds, round, stations } = circle;
  const first = Math.max(round, 1);
  const shown = rounds.map((one, index) => ({ ...one, number: index + 1 })).slice(first - 1, first - 1 + SHOWN);
  const columns = stations.map((one, index) => ({ ...one, index })).filter(({ key }) => !station || key === station);
  const resting = shown[0]?.resting ?? [];
  return (
    <>
      <Grid data-group-grid={round} aria-live="polite">
        <caption style={{ position: "absolute", clipPath: "inset(50%)" }}>{say("groupGrid.caption")}</caption>
        <colgroup>
          <col />
          <col span={columns.length} />
        </colgroup>
        <thead>
          <tr>
            <td />
            {columns.map(({ key, machine }) => (
              <th key={key} scope="col">
                {machine.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map(({ number, cells }) => (
            <tr key={number} data-round={number}>
              <th scope="row">{rowName(number, round)}</th>
              {columns.map(({ key, index }) => (
                <Cell key={key} data-now={number === round ? true : undefined} data-cell={cells[index]?.called}>
                  {cells[index] ? (
                    <Told cell={cells[index]} alone={station !== null} large={columns.length <= WIDE} />
                  ) : null}
                </Cell>
              ))}
            </tr>
          ))}
        </tbody>
      </Grid>
      {resting.length > 0 && station === null ? (
        <p data-resting>{say("groupGrid.resting", { names: resting.join(", ") })}</p>
      ) : null}
    </>
  );
}

const rowName = (number: number, round: number): string => {
  if (number === round) return say("groupGrid.now");
  return number === round + 1 && round > 0 ? say("groupGrid.next") : say("groupGrid.round", { number });
};

function Told({ cell, alone, large }: { cell: CellData; alone: boolean; large: boolean }) {
  return (
    <>
      <Who $large={large}>
        {cell.fitting_id ? (
          <Link to={`/fittings/${cell.fitting_id}/set-up`} style={{ color: "inherit", textDecoration: "none" }}>
            {cell.called}
          </Link>
        ) : (
          cell.called
        )}
      </Who>
      {alone && cell.state === "works" ? <Marks>{cell.marks.map(({ mark }) => mark).join("  ")}</Marks> : null}
      <Says>
        <Does cell={cell} />
      </Says>
      {cell.load ? <Says>{cell.load}</Says> : null}
      {cell.aids.map((aid) => (
        <Says key={aid}>{aid}</Says>
      ))}
      {alone ? cell.how.map((sentence) => <Says key={sentence}>{sentence}</Says>) : null}
    </>
  );
}

function Does({ cell: { state, moves, instead, marks } }: { cell: CellData }) {
  switch (state) {
    case "works":
      return moves === null ? marks.map(({ name, mark }) => `${name} ${mark}`).join(", ") : <MoveList moves={moves} />;
    case "instead":
      return say("groupGrid.instead", { machine: instead });
    case "rests":
      return say("groupGrid.rests");
    case "empty":
      return "";
  }
}
