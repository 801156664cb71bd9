import { say } from "../../../lib/say";
import type { Dispatch } from "react";
import styled from "styled-components";
import type { FittingPage, Sheet } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { Choice } from "../../../ui/Choice";
import { QuietButton } from "../../../ui/Button";
import { colour, radius, size, space } from "../../../ui/tokens";

const List = styled.ul`
  display: grid;
  gap: ${space(2)};
  margin: 0 0 ${space(2)} ${space(2)};
  font-size: ${size.small};
  li {
    padding: ${space(2)};
    border: 1px solid ${colour.line};
    border-radius: ${radius};
  }
`;

const OUTCOMES = [
  ["better", say("trail.better")],
  ["same", say("trail.same")],
  ["worse", say("trail.worse")],
] as const;

type Props = { fitting: FittingPage; sheet: Sheet; sign: string; dispatch: Dispatch<BenchEvent> };

/** What was tried for a sign, and what came of it: kept on the record. */
export function Trail({ fitting, sheet, sign, dispatch }: Props) {
  const tried = sheet.trail.map((entry, index) => ({ ...entry, index })).filter((entry) => entry.sign === sign);
  if (tried.length === 0) return null;
  const order = fitting.steps.map((step) => step.id);
  const nameOf = (label: string) => fitting.machine.adjusters.find((one) => one.label === label)?.name ?? label;
  return (
    <List aria-label={say("trail.tried")}>
      {tried.map(({ index, adjuster, from, to, outcome }) => (
        <li key={index} data-tried={index}>
          {nameOf(adjuster)} {from} → {to}
          <Choice
            label={say("trail.moveName", { name: nameOf(adjuster), from, to })}
            compact
            tight
            options={OUTCOMES}
            value={outcome ?? ("" as "better")}
            onChange={(came) => dispatch({ type: "tried", index, outcome: came })}
          />
          {outcome === "worse" && sheet.marks[adjuster] === to ? (
            <QuietButton onPress={() => dispatch({ type: "set", order, label: adjuster, mark: from })}>
              {say("trail.backTo")} {from}
            </QuietButton>
          ) : null}
        </li>
      ))}
    </List>
  );
}
