// A machine's lengths with who taped each.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { MachineExercise } from "../../api/types";
import { dayText } from "../../lib/dates";
import type { LengthUnit } from "../../lib/lengths";
import { lengthWords } from "../../model/machineLengths";
import { colour, font, radius, size, space } from "../../ui/tokens";

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  th,
  td {
    padding: ${space(2)} ${space(3)};
    text-align: left;
    vertical-align: top;
    font-weight: ${font.regular};
  }
  tr + tr > * {
    border-top: 1px solid ${colour.line};
  }
  td:last-child {
    font-weight: ${font.strong};
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.inkMuted};
    font-weight: ${font.regular};
  }
`;

type Props = { exercise: MachineExercise; unit: LengthUnit; locale: string };

export function LengthTable({ exercise, unit, locale }: Props) {
  return (
    <Table>
      <tbody>
        {exercise.lengths.map((length) => (
          <tr key={length.name}>
            <th scope="row">
              {length.title}
              {length.taped ? (
                <small>
                  {length.taped.copied
                    ? say("lengthTable.copiedToBeChecked")
                    : `${length.taped.by ?? ""}, ${dayText(length.taped.at, locale, new Date())}`}
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
    </Table>
  );
}
