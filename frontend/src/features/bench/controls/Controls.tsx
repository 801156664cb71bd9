import type { Dispatch } from "react";
import type { Evaluation, FittingPage } from "../../../api/types";
import { say } from "../../../lib/say";
import type { Bench, BenchEvent } from "../../../model/bench";
import { Panel } from "../Panel";
import { AidChoices, offeredAids } from "./AidChoices";
import { Control } from "./Control";
import { PlacedControl } from "./PlacedControl";
import { Ready } from "./Ready";

type Props = {
  fitting: FittingPage;
  bench: Bench;
  active: string;
  order: readonly string[];
  evaluation: Evaluation;
  dispatch: Dispatch<BenchEvent>;
};

/** As many adjusters and cushions as stand large. */
const LARGE = 3;

/** One control an adjuster: the mark as printed, a step down and up and what either would do, the mark advised. */
export function Controls({ fitting, bench, active, order, evaluation, dispatch }: Props) {
  const { machine, advice, station } = fitting;
  const placed = evaluation.placed ?? [];
  const dense = machine.adjusters.length + offeredAids(machine).length + placed.length > LARGE;
  return (
    <Panel aria-label={say("controls.adjusters")} $dense={dense}>
      {machine.adjusters.map(({ label, name }) => (
        <Control
          key={label}
          label={label}
          name={name}
          shared={station?.shared.includes(label) ?? false}
          adjusters={machine.adjusters}
          advised={advice?.adjusters.find((adjuster) => adjuster.label === label)}
          mark={bench.sheet.marks[label]}
          active={active === label}
          dense={dense && active !== label}
          order={order}
          steps={evaluation.steps[label]}
          dispatch={dispatch}
        />
      ))}
      {placed.map((one) => (
        <PlacedControl
          key={one.name}
          placed={one}
          advised={advice?.aids[one.name]}
          active={active === `@${one.name}`}
          dense={dense && active !== `@${one.name}`}
          dispatch={dispatch}
        />
      ))}
      <AidChoices machine={machine} aids={bench.sheet.aids} dispatch={dispatch} />
      {fitting.ready ? <Ready ready={fitting.ready} /> : null}
    </Panel>
  );
}
