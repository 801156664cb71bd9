// A row a person: their marks on the old machine, what they are advised on the other one, how sure, and why to look first.
import { Link } from "react-router";
import styled from "styled-components";
import type { ReplacedSetting, Tags } from "../../api/types";
import { say } from "../../lib/say";
import { BandName } from "../../ui/Band";
import { MarkTags } from "../../ui/MarkTag";
import { Strong } from "../../ui/Page";
import { Table } from "../../ui/Table";
import { colour, font, space } from "../../ui/tokens";

const Rows = styled(Table)`
  margin-bottom: ${space(3)};
  tr[data-check="true"] > th {
    border-left: 3px solid ${colour.close};
  }
  td:nth-of-type(1) {
    font-family: ${font.mark};
  }
`;
const HUNDRED = 100;

export function ReplacedSettings({ lines }: { lines: readonly ReplacedSetting[] }) {
  return (
    <Rows data-replaced>
      <thead>
        <tr>
          <th scope="col">{say("replacedSettings.who")}</th>
          <th scope="col">{say("replacedSettings.before")}</th>
          <th scope="col">{say("replacedSettings.now")}</th>
          <th scope="col">{say("replacedSettings.sure")}</th>
          <th scope="col">{say("replacedSettings.look")}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <tr key={`${line.client.id} ${line.exercise}`} data-check={line.check && !line.tried}>
            <th scope="row">
              <Link to={`/clients/${line.client.id}`}>{line.client.name}</Link>
              <small>{line.client.detail}</small>
            </th>
            <td>{line.before.map(({ name, mark }) => `${name} ${mark}`).join(", ")}</td>
            <td>
              <MarkTags tags={line.marks} />
              {line.load ? <small>{say("replacedSettings.begin", { load: line.load })}</small> : null}
            </td>
            <td>
              {line.grade ? <BandName band={line.grade} /> : null}
              {line.sure === null ? null : (
                <small>{say("replacedSettings.percent", { percent: Math.round(line.sure * HUNDRED) })}</small>
              )}
            </td>
            <td>{line.tried ? say("replacedSettings.tried") : <Why line={line} />}</td>
          </tr>
        ))}
      </tbody>
    </Rows>
  );
}

function Why({ line }: { line: ReplacedSetting }) {
  if (!line.check) return null;
  if (line.keeps_off.length > 0) return line.keeps_off.join(" ");
  if (line.marks.length === 0) return say("replacedSettings.untold");
  return (
    <>
      {line.unsure.length > 0 ? (
        <Strong>{say("replacedSettings.unsure", { marks: namesOf(line.unsure, line.marks) })}</Strong>
      ) : (
        say("replacedSettings.notFit")
      )}
      {line.aids.map((aid) => (
        <small key={aid}>{aid}</small>
      ))}
    </>
  );
}

const namesOf = (labels: readonly string[], tags: Tags) =>
  labels.map((label) => tags.find((tag) => tag.label === label)?.name ?? label).join(", ");
