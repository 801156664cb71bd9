// The working load as it is made here, and one step either way.
import { say } from "../../../lib/say";
import styled from "styled-components";
import type { Load, Loads, Work } from "../../../api/types";
import { SecondaryButton } from "../../../ui/Button";
import { Small } from "../../../ui/Page";
import { StepButton, Stepper } from "../../../ui/StepButton";
import { space, target } from "../../../ui/tokens";
import { PanelTitle } from "../Panel";
import { PrintedLoad } from "./PrintedLoad";

const Begin = styled(SecondaryButton)`
  width: 100%;
  min-height: ${target.step};
  margin-bottom: ${space(2)};
`;
const Whole = styled.span`
  white-space: nowrap;
`;
/** What is written down is what can be loaded: a clinician may allow less since, or the stack was described anew. */
const sameLoad = (one_kg: number, other_kg: number) => Math.abs(one_kg - other_kg) < 0.01;

type Props = {
  loads: Loads;
  work: Work;
  /** the load as it stands on the sheet */
  written: string;
  /** loads are of this very work, not of the one before */
  settled: boolean;
  onTake: (load: Load | null) => void;
};

export function WorkingLoad({ loads, work, written, settled, onTake }: Props) {
  const { load, up, down } = loads;
  const replaced = settled && load && work.load_kg !== null && !sameLoad(load.kg, work.load_kg);
  return (
    <div data-load>
      <PanelTitle>{say("workingLoad.workingLoad")}</PanelTitle>
      {replaced ? (
        <Begin onPress={() => onTake(load)}>
          {say("workingLoad.take")} {load.text}
          {say("workingLoad.not")} {written}
        </Begin>
      ) : work.load_kg === null || !load ? (
        <Begin onPress={() => onTake(load)}>
          <span>
            {loads.likely ? say("workingLoad.beginWith") : say("workingLoad.lightest")} <Whole>{load?.text}</Whole>
          </span>
        </Begin>
      ) : (
        <Stepper>
          <StepButton
            aria-label={down ? say("workingLoad.stepDown", { text: down.text }) : say("workingLoad.nothingLighter")}
            isDisabled={!down}
            onPress={() => onTake(down)}
          >
            −
          </StepButton>
          <PrintedLoad load={load} name={say("workingLoad.workingLoad")} />
          <StepButton
            aria-label={up ? say("workingLoad.stepUp", { text: up.text }) : say("workingLoad.nothingHeavier")}
            isDisabled={!up}
            onPress={() => onTake(up)}
          >
            +
          </StepButton>
        </Stepper>
      )}
      <p>{loads.says ?? load?.how}</p>
      {loads.felt ? <Small>{loads.felt}</Small> : null}
    </div>
  );
}
