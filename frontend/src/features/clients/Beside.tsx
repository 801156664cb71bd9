// What each of two records holds, as numbers, side by side; and what has to be settled before they are one.
import { Link } from "react-router";
import type { BesideData, ClientRecord } from "../../api/types";
import { dayText } from "../../lib/dates";
import { say } from "../../lib/say";
import { Notice } from "../../ui/Notice";
import { Table } from "../../ui/Table";

const COUNTED = [
  ["fittings", say("beside.fittings")],
  ["visits", say("beside.visits")],
  ["sessions", say("beside.sessions")],
  ["readings", say("beside.readings")],
  ["cautions", say("beside.cautions")],
] as const;

export function Beside({ beside, locale }: { beside: BesideData; locale: string }) {
  const both = [beside.kept, beside.other];
  const born = ({ birth_date }: ClientRecord) => (birth_date ? dayText(birth_date, locale) : say("beside.notKnown"));
  return (
    <>
      {beside.in_the_way.map((sentence) => (
        <div key={sentence} style={{ marginBottom: "1rem" }}>
          <Notice tone="wrong">{sentence}</Notice>
        </div>
      ))}
      <Table data-beside>
        <thead>
          <tr>
            <td />
            <th scope="col">{say("beside.kept")}</th>
            <th scope="col">{say("beside.other")}</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">{say("beside.name")}</th>
            {both.map(({ id, name, detail }) => (
              <td key={id}>
                <Link to={`/clients/${id}`}>{name}</Link>
                <small>{detail}</small>
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row">{say("beside.born")}</th>
            {both.map((one) => (
              <td key={one.id}>{born(one)}</td>
            ))}
          </tr>
          <tr>
            <th scope="row">{say("beside.mass")}</th>
            {both.map(({ id, body_mass_kg }) => (
              <td key={id}>{body_mass_kg === null ? say("beside.notKnown") : `${body_mass_kg} kg`}</td>
            ))}
          </tr>
          {COUNTED.map(([name, title]) => (
            <tr key={name}>
              <th scope="row">{title}</th>
              {both.map((one) => (
                <td key={one.id}>{one[name]}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}
