// Where body weight is the load: the rung on which to begin, why, what comes after; the ladder as bars of what each asks.
import styled from "styled-components";
import type { FittingPage } from "../../../api/types";
import { say } from "../../../lib/say";
import { colour, font, size, space } from "../../../ui/tokens";

const Area = styled.section`
  display: grid;
  gap: ${space(1)};
  padding: ${space(3)} 0 0;
  border-top: 1px solid ${colour.line};
  font-size: ${size.small};
  h3 {
    font-size: ${size.text};
  }
`;
const Rung = styled.li<{ $today: boolean; $share: number }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space(2)};
  padding: ${space(0.5)} ${space(2)};
  color: ${({ $today }) => ($today ? colour.ink : colour.inkMuted)};
  font-weight: ${({ $today }) => ($today ? font.strong : font.regular)};
  border-left: 3px solid ${({ $today }) => ($today ? colour.action : "transparent")};
  background: linear-gradient(
    to right,
    ${colour.bodyFill} ${({ $share }) => `${Math.round($share * 100)}%`},
    transparent 0
  );
  background-size: 100% 4px;
  background-repeat: no-repeat;
  background-position: bottom;
  span {
    font-family: ${font.mark};
  }
`;

export function Ready({ ready }: { ready: NonNullable<FittingPage["ready"]> }) {
  const most = Math.max(1, ...ready.rungs.map(({ nm }) => nm));
  const at = ready.rungs.findIndex(({ today }) => today);
  const near = ready.rungs.slice(Math.max(at - 1, 0), Math.max(at - 1, 0) + NEAR);
  return (
    <Area aria-label={say("ready.readyFor")} data-ready>
      <h3>{say("ready.readyFor")}</h3>
      {ready.says.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      <ol>
        {near.map(({ text, nm, today }) => (
          <Rung key={text} $today={today} $share={nm / most} aria-current={today ? "step" : undefined}>
            {text} <span>{say("ready.nm", { nm })}</span>
          </Rung>
        ))}
      </ol>
    </Area>
  );
}

/** As many rungs as are shown: the one before, today's, and two to come. */
const NEAR = 4;
