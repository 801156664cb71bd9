// A client's fittings on one machine, the latest first, one beside the other: what was set, lifted, found and known of the body, and what changed.
import { useQuery } from "@tanstack/react-query";
import { Link, useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { historyQuery, meQuery } from "../../api/queries";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { BandName } from "../../ui/Band";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Small, Title } from "../../ui/Page";
import { Table } from "../../ui/Table";
import { colour, font } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";

const Scrolls = styled.div`
  overflow-x: auto;
  td,
  th {
    white-space: nowrap;
  }
  td[data-why] {
    white-space: normal;
    min-width: 12rem;
  }
  td[data-changed] {
    background: ${colour.closeFill};
    font-weight: ${font.strong};
  }
  tr[data-part="marks"] td {
    font-family: ${font.mark};
    font-size: 1.25rem;
  }
  tr[data-first] > * {
    border-top: 2px solid ${colour.lineStrong};
  }
`;
const STATES = { accepted: null, stopped: say("sideBySide.stopped"), taken_back: say("sideBySide.takenBack") };

export function SideBySidePage() {
  useTitle(say("sideBySide.title"));
  const { id = "", machine = "" } = useParams();
  const [query] = useSearchParams();
  const history = useQuery(historyQuery(id, machine, query.get("exercise") ?? ""));
  const me = useQuery(meQuery);
  if (history.error)
    return (
      <Page>
        <PageHead>
          <Title>{say("sideBySide.title")}</Title>
        </PageHead>
        <Notice tone="wrong">{refusal(history.error)?.message ?? say("sideBySide.couldNotBeOpened")}</Notice>
      </Page>
    );
  if (!history.data || !me.data) return null;
  const { client, machine: where, fittings, rows } = history.data;
  const locale = me.data.gym.locale;
  return (
    <Page>
      <PageHead>
        <Title>{where.name}</Title>
        <Muted>{say("sideBySide.fittingsOf", { name: client.name })}</Muted>
        <QuietLink to={`/clients/${client.id}`} style={{ marginLeft: "auto" }}>
          {say("sideBySide.cardLink")}
        </QuietLink>
      </PageHead>
      {fittings.length === 0 ? (
        <Empty>{say("sideBySide.nothingYet")}</Empty>
      ) : (
        <Scrolls tabIndex={0} role="region" aria-label={say("sideBySide.title")}>
          <Table>
            <thead>
              <tr>
                <td />
                {fittings.map((fitting) => (
                  <th key={fitting.id} scope="col">
                    <Link to={`/fittings/${fitting.id}`}>{momentText(fitting.accepted_at, locale)}</Link>
                    <small>{[fitting.by, STATES[fitting.state]].filter(Boolean).join(", ")}</small>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              <tr>
                <th scope="row">{say("sideBySide.fit")}</th>
                {fittings.map((fitting) => (
                  <td key={fitting.id}>
                    <BandName band={fitting.grade} />
                  </td>
                ))}
              </tr>
              {rows.map((row, index) => (
                <tr
                  key={`${row.part} ${row.label}`}
                  data-part={row.part}
                  data-first={rows[index - 1]?.part === row.part ? undefined : ""}
                >
                  <th scope="row">{row.label}</th>
                  {row.cells.map((cell, at) => (
                    <td key={fittings[at]?.id} data-changed={cell.changed ? "" : undefined}>
                      {cell.text || "–"}
                    </td>
                  ))}
                </tr>
              ))}
              <tr data-first="">
                <th scope="row">{say("sideBySide.why")}</th>
                {fittings.map((fitting) => (
                  <td key={fitting.id} data-why="">
                    <Small>{fitting.why || "–"}</Small>
                  </td>
                ))}
              </tr>
            </tbody>
          </Table>
        </Scrolls>
      )}
      <p style={{ marginTop: "1rem" }}>
        <Small>{say("sideBySide.hint")}</Small>
      </p>
    </Page>
  );
}
