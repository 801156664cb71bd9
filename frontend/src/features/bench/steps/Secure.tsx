import { useQuery } from "@tanstack/react-query";
import type { Dispatch } from "react";
import { loadsQuery } from "../../../api/queries";
import type { FittingPage, Sheet } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { MarkRow, MarkTag } from "../../../ui/MarkTag";
import { Tick } from "../../../ui/Tick";
import { Panel, PanelTitle } from "../Panel";

type Props = { fitting: FittingPage; sheet: Sheet; dispatch: Dispatch<BenchEvent> };

/** Every pin home, the belt as load and cautions ask. */
export function Secure({ fitting, sheet, dispatch }: Props) {
  const loads = useQuery(loadsQuery(fitting.id, sheet.work));
  const belt = loads.data?.belt;
  return (
    <Panel aria-label="Secure">
      <PanelTitle>Pins, as they should stand</PanelTitle>
      <MarkRow>
        {fitting.machine.adjusters.map((adjuster) => (
          <MarkTag key={adjuster.label} label={adjuster.name} mark={sheet.marks[adjuster.label] ?? "–"} />
        ))}
      </MarkRow>
      {belt ? (
        <div data-belt={belt.worn ? "on" : "off"}>
          <PanelTitle>Belt</PanelTitle>
          <p>{belt.says}</p>
          <Tick
            isSelected={sheet.work.belt ?? false}
            onChange={(worn) => dispatch({ type: "write", fields: { work: { ...sheet.work, belt: worn } } })}
          >
            Belt is on
          </Tick>
        </div>
      ) : null}
    </Panel>
  );
}
