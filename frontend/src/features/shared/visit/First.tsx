// What comes before anybody sits: what the one before left behind, cushions and pads.
import styled from "styled-components";
import type { SetUp } from "../../../api/types";
import { say } from "../../../lib/say";
import { size, space } from "../../../ui/tokens";

const Before = styled.ul`
  display: grid;
  gap: ${space(1)};
  font-size: ${size.large};
`;

export function First({ setUp: { left_behind, aids } }: { setUp: Pick<SetUp, "left_behind" | "aids"> }) {
  if (!left_behind && aids.length === 0) return null;
  return (
    <Before aria-label={say("walkRound.first")}>
      {left_behind ? <li>{left_behind}</li> : null}
      {aids.map((aid) => (
        <li key={aid}>{aid}</li>
      ))}
    </Before>
  );
}
