// A machine's lengths with who taped each.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { MachineExercise } from "../../api/types";
import { dayText } from "../../lib/dates";
import type { LengthUnit } from "../../lib/lengths";
import { lengthWords } from "../../model/machineLengths";
import { Table } from "../../ui/Table";
import { font } from "../../ui/tokens";

const Lengths = styled(Table)`
  tbody tr:first-child > * {
    border-top: 0;
  }
  td:last-child {
    font-weight: ${font.strong};
  }
`;

type Props = { exercise: MachineExercise; unit: LengthUnit; locale: string };

export function LengthTable({ exercise, unit, locale }: Props) {
  return (
    <Lengths>
      <tbody>
        {exercise.lengths.map((length) => (
          <tr key={length.name}>
            <th scope="row">
              {length.title}
              {length.taped ? (
                <small>
                  {length.taped.copied
                    ? say("lengthTable.copied")
                    : `${length.taped.by ?? ""}, ${dayText(length.taped.at, locale)}`}
                  {length.taped.learned === null
                    ? null
                    : ` ${say("lengthTable.learned", { count: length.taped.learned })}`}
                </small>
              ) : null}
            </th>
            <td>
              {lengthWords(length, unit) ??
                (length.default === null ? (
                  <small>{say("lengthTable.notTaped")}</small>
                ) : (
                  <small>
                    {length.default} {say("lengthTable.unlessTaped")}
                  </small>
                ))}
            </td>
          </tr>
        ))}
      </tbody>
    </Lengths>
  );
}
