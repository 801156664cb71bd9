// Cushions and pads in use, from the sizes the gym owns; only what this machine takes.
import { say } from "../../../lib/say";
import type { Dispatch } from "react";
import styled from "styled-components";
import type { Aids, MachineOnBench } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { Choice } from "../../../ui/Choice";
import { colour, radius, space } from "../../../ui/tokens";

const Card = styled.div`
  padding: ${space(1)} ${space(3)} ${space(2)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
`;

type Props = { machine: MachineOnBench; aids: Aids; dispatch: Dispatch<BenchEvent> };

/** Those that this machine takes and the gym owns. */
export const offeredAids = (machine: MachineOnBench) => machine.aids.filter(({ sizes }) => sizes.length > 0);

export function AidChoices({ machine, aids, dispatch }: Props) {
  return offeredAids(machine).map(({ name, title, sizes }) => (
    <Card key={name} data-aid={name}>
      <Choice
        label={title}
        tight
        options={[0, ...sizes].map((mm) => [String(mm), mm === 0 ? say("aidChoices.none") : `${mm}`] as const)}
        value={String(aids[name] ?? 0)}
        onChange={(mm) => dispatch({ type: "aid", name, mm: Number(mm) })}
      />
    </Card>
  ));
}
