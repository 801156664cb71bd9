// What a machine needs, in a few words: shown wherever machines are listed. Nothing where it needs nothing.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { Machine } from "../../api/types";
import { colour, font, size } from "../../ui/tokens";

const Words = styled.span`
  font-size: ${size.small};
  font-weight: ${font.strong};
  color: ${colour.closeInk};
`;

const TAPED = { untaped: say("needs.notTaped"), partly: say("needs.partTaped"), taped: null };
const STATES = {
  in_use: null,
  out_of_order: say("needs.closed"),
  retired: say("needs.retired"),
  considered: say("needs.considered"),
};

export const needsOf = (machine: Machine): string =>
  [STATES[machine.state], TAPED[machine.taped]].filter((need) => need !== null).join(" · ");

/** quiet: on a line of its own, with why it is out of order. */
export function Needs({ machine, quiet = false }: { machine: Machine; quiet?: boolean }) {
  const needs = needsOf(machine);
  if (!needs) return null;
  return (
    <>
      {quiet ? <br /> : null}
      <Words>
        {needs}
        {quiet && machine.state === "out_of_order" && machine.state_note ? `: ${machine.state_note}` : ""}
      </Words>
    </>
  );
}
