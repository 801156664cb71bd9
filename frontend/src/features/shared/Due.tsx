// One setting that should be looked at again: whose, where, why, since when.
import styled from "styled-components";
import type { Refit } from "../../api/types";
import { dayText } from "../../lib/dates";
import { say } from "../../lib/say";
import { Small, Strong } from "../../ui/Page";
import { space } from "../../ui/tokens";

const Why = styled.ul`
  display: grid;
  gap: ${space(0.5)};
`;

export function Due({ due, locale, most }: { due: Refit; locale: string; most: number }) {
  return (
    <span>
      <Strong>{due.client.name}</Strong> <Small>{due.client.detail}</Small>
      <br />
      <Small>
        {due.machine.name} · {say("due.fitted", { day: dayText(due.accepted_at, locale) })}
      </Small>
      <Why>
        {due.reasons.slice(0, most).map(({ name, says }) => (
          <li key={name}>{says}</li>
        ))}
        {due.bars.map((bar) => (
          <li key={bar}>{bar}</li>
        ))}
      </Why>
    </span>
  );
}
