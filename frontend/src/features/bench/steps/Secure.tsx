import { say } from "../../../lib/say";
import { useQuery } from "@tanstack/react-query";
import type { Dispatch } from "react";
import { loadsQuery } from "../../../api/queries";
import type { FittingPage, Sheet } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { MarkRow, MarkTag } from "../../../ui/MarkTag";
import { Tick } from "../../../ui/Tick";
import { Panel, PanelTitle } from "../Panel";
import { told } from "../../../model/marks";

type Props = { fitting: FittingPage; sheet: Sheet; dispatch: Dispatch<BenchEvent> };

/** Every pin home, the belt as load and cautions ask. */
export function Secure({ fitting, sheet, dispatch }: Props) {
  const loads = useQuery(loadsQuery(fitting.id, sheet.work));
  const belt = loads.data?.belt;
  return (
    <Panel aria-label={say("secure.secure")}>
      <PanelTitle>{say("secure.pinsName")}</PanelTitle>
      <MarkRow>
        {fitting.machine.adjusters.map((adjuster) => (
          <MarkTag key={adjuster.label} label={adjuster.name} mark={told(adjuster, sheet.marks[adjuster.label])} />
        ))}
      </MarkRow>
      {belt ? (
        <div data-belt={belt.worn ? "on" : "off"}>
          <PanelTitle>{say("secure.belt")}</PanelTitle>
          <p>{belt.says}</p>
          <Tick
            isSelected={sheet.work.belt ?? false}
            onChange={(worn) => dispatch({ type: "write", fields: { work: { ...sheet.work, belt: worn } } })}
          >
            {say("secure.beltTick")}
          </Tick>
        </div>
      ) : null}
    </Panel>
  );
}
