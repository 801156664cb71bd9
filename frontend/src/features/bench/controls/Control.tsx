// One adjuster: the mark as printed, a step down and up with what either would do, and what is advised.
import type { Dispatch } from "react";
import type { Adjuster, AdvisedAdjuster, Evaluation } from "../../../api/types";
import { say } from "../../../lib/say";
import { neighbour, type BenchEvent } from "../../../model/bench";
import { told } from "../../../model/marks";
import { StepButton } from "../../../ui/StepButton";
import { Advised } from "./Advised";
import { Mark, Recorded } from "./card";
import { ControlFrame } from "./ControlFrame";
import { StepOutcome } from "./StepOutcome";

type Props = {
  label: string;
  name: string;
  /** whether all exercises of a station have it in common */
  shared: boolean;
  adjusters: readonly Adjuster[];
  advised: AdvisedAdjuster | undefined;
  mark: string | undefined;
  active: boolean;
  /** a row of one height */
  dense: boolean;
  order: readonly string[];
  steps: Evaluation["steps"][string] | undefined;
  dispatch: Dispatch<BenchEvent>;
};

export function Control(props: Props) {
  const { label, name, shared, adjusters, advised, mark, active, dense, order, steps, dispatch } = props;
  const [down, up] = [neighbour(adjusters, label, mark, -1), neighbour(adjusters, label, mark, 1)];
  const advice = advised ? (
    <Advised
      advised={advised}
      mark={mark}
      brief={dense}
      onSet={(to) => dispatch({ type: "set", order, label, mark: to })}
    />
  ) : null;
  const adjuster = adjusters.find((one) => one.label === label);
  const figureText = adjuster && mark !== undefined ? told(adjuster, mark) : mark;
  const long = (figureText ?? "").length > 3;
  const figure = (
    <Mark aria-label={say("controls.nameMark", { name })} aria-live="polite" $long={long}>
      {figureText}
    </Mark>
  );
  const less = (
    <StepButton
      aria-label={down ? say("controls.stepDown", { name, down }) : say("controls.bottomEnd", { name })}
      isDisabled={down === null}
      onPress={() => dispatch({ type: "step", adjusters, order, label, by: -1 })}
    >
      −
    </StepButton>
  );
  const more = (
    <StepButton
      aria-label={up ? say("controls.stepUp", { name, up }) : say("controls.topEnd", { name })}
      isDisabled={up === null}
      onPress={() => dispatch({ type: "step", adjusters, order, label, by: 1 })}
    >
      +
    </StepButton>
  );
  return (
    <ControlFrame
      name={name}
      active={active}
      dense={dense}
      data={{ "data-adjuster": label }}
      advice={advice}
      less={less}
      figure={figure}
      more={more}
      note={shared ? <Recorded>{say("controls.sharedSeat")}</Recorded> : null}
      outcomes={
        advised?.mark === null ? (
          <Recorded>{advised.by_others ?? say("controls.untaped")}</Recorded>
        ) : (
          [
            <StepOutcome key="down" step={steps?.down ?? null} none={say("controls.firstMark")} />,
            <StepOutcome key="up" step={steps?.up ?? null} none={say("controls.lastMark")} end />,
          ]
        )
      }
    />
  );
}
