// A machine's marks for everybody who was fitted on it: what hangs beside it. Which columns, in which order and how names stand is in the
// address, never a name.
import { useQuery } from "@tanstack/react-query";
import { Link, useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { gymQuery, wallSheetQuery } from "../../api/queries";
import type { WallNames } from "../../api/types";
import { say } from "../../lib/say";
import { Choice } from "../../ui/Choice";
import { primary } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Options, Page, PageHead, Small, Title } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { Table } from "../../ui/Table";
import { Tick } from "../../ui/Tick";
import { colour, font, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";

const PdfLink = styled.a`
  ${primary}
  margin-left: auto;
  @media print {
    display: none;
  }
`;
const Ticks = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${space(4)};
`;
const Marks = styled(Table)`
  td {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: 1.25rem;
    text-align: center;
    word-spacing: -0.3em;
  }
  thead th + th {
    text-align: center;
  }
  tbody th {
    font-weight: ${font.strong};
  }
  a {
    color: ${colour.ink};
  }
`;

const NAMES: readonly (readonly [WallNames, string])[] = [
  ["full", say("wallSheetPage.full")],
  ["initial", say("wallSheetPage.shortNames")],
  ["number", say("wallSheetPage.number")],
];
const BY_NAME = "name";

export function WallSheetPage() {
  const { id = "" } = useParams();
  const [query, setQuery] = useSearchParams();
  const gym = useQuery(gymQuery);
  const asked = Object.fromEntries(
    ["exercise", "columns", "sort", "names"].flatMap((name) =>
      query.has(name) ? [[name, query.get(name) ?? ""]] : [],
    ),
  );
  const sheet = useQuery(wallSheetQuery(id, asked));
  useTitle(sheet.data ? say("wallSheetPage.sheetOf", { machine: sheet.data.machine }) : say("wallSheetPage.wallSheet"));
  if (sheet.error)
    return (
      <Page>
        <PageHead>
          <Title>{say("wallSheetPage.wallSheet")}</Title>
        </PageHead>
        <Notice tone="wrong">{refusal(sheet.error)?.message ?? say("wallSheetPage.couldNotBeOpened")}</Notice>
      </Page>
    );
  if (!sheet.data || !gym.data) return null;
  const { machine, place, labels, columns, rows, of } = sheet.data;
  const set = (name: string, value: string) =>
    setQuery(
      (before) => {
        const next = new URLSearchParams(before);
        next.set(name, value);
        return next;
      },
      { replace: true },
    );
  const shown = columns.map(({ label }) => label);
  const all = [...labels, { label: LOAD, name: say("wallSheetPage.load") }];
  const toggle = (label: string, on: boolean) =>
    set(
      "columns",
      all
        .map((one) => one.label)
        .filter((one) => (one === label ? on : shown.includes(one)))
        .join(","),
    );
  return (
    <Page>
      <PageHead>
        <Title>
          <Link to={`/machines/${id}`} style={{ color: "inherit" }}>
            {machine}
          </Link>
        </Title>
        <Muted>{place}</Muted>
        <PdfLink href={`/api/machines/${id}/sheet.pdf?${query.toString()}`} target="_blank" rel="noreferrer">
          {say("wallSheetPage.toPrint")}
        </PdfLink>
      </PageHead>
      <Options>
        <Choice
          label={say("wallSheetPage.names")}
          options={NAMES}
          value={(query.get("names") as WallNames | null) ?? gym.data.wall_names}
          onChange={(names) => set("names", names)}
        />
        <Select
          label={say("wallSheetPage.order")}
          options={[[BY_NAME, say("wallSheetPage.byName")], ...labels.map(({ label, name }) => [label, name] as const)]}
          value={query.get("sort") ?? BY_NAME}
          onChange={(sort) => set("sort", sort)}
        />
        <Ticks>
          {all.map(({ label, name }) => (
            <Tick key={label} isSelected={shown.includes(label)} onChange={(on) => toggle(label, on)}>
              {name}
            </Tick>
          ))}
        </Ticks>
      </Options>
      {rows.length === 0 ? (
        <Empty>{say("wallSheetPage.nobodyYet")}</Empty>
      ) : (
        <Marks aria-label={say("wallSheetPage.wallSheet")}>
          <thead>
            <tr>
              <th>{say("wallSheetPage.name")}</th>
              {columns.map(({ label, name }) => (
                <th key={label}>{name}</th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.id}>
                <th scope="row">
                  <Link to={`/clients/${row.id}`}>{row.name}</Link>
                </th>
                {row.cells.map((cell, index) => (
                  <td key={columns[index]?.label}>{cell}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Marks>
      )}
      {of > rows.length ? <Small>{say("wallSheetPage.ofThem", { count: rows.length, of })}</Small> : null}
    </Page>
  );
}

const LOAD = "@load";
