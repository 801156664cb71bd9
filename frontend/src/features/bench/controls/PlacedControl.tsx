// What is placed with the marks (the feet on a plate, a link of a chain): where it stands, a touch down and up with what either
// would do, and where it is advised.
import type { Dispatch } from "react";
import type { Placed } from "../../../api/types";
import { say } from "../../../lib/say";
import type { BenchEvent } from "../../../model/bench";
import { StepButton } from "../../../ui/StepButton";
import { Mark } from "./card";
import { ControlFrame } from "./ControlFrame";
import { BackTo, Quiet } from "./quiet";
import { StepOutcome } from "./StepOutcome";

type Props = {
  placed: Placed;
  advised: number | undefined;
  active: boolean;
  dense: boolean;
  dispatch: Dispatch<BenchEvent>;
};

/** A number, with what the gym calls it. */
const named = ({ called, value }: { called?: string; value: number }) => [...(called ? [called] : []), value].join(" ");

export function PlacedControl({ placed, advised, active, dense, dispatch }: Props) {
  const { name, title, value, down, up } = placed;
  const place = (to: number) => dispatch({ type: "aid", name, mm: to });
  const advice =
    advised === undefined ? null : Math.round(advised) === value ? (
      <Quiet>{say("controls.advised")}</Quiet>
    ) : (
      <BackTo onPress={() => place(advised)}>
        {say("controls.advised")} {Math.round(advised)}
      </BackTo>
    );
  const figure = (
    <Mark aria-label={title} aria-live="polite" $long={named(placed).length > 3}>
      {named(placed)}
    </Mark>
  );
  const touch = (step: typeof down, sign: string, label: string) => (
    <StepButton aria-label={label} isDisabled={step === null} onPress={() => step && place(step.value)}>
      {sign}
    </StepButton>
  );
  const less = touch(down, "−", say("placedControl.lower", { title, to: named(down ?? placed) }));
  const more = touch(up, "+", say("placedControl.raise", { title, to: named(up ?? placed) }));
  return (
    <ControlFrame
      name={title}
      active={active}
      dense={dense}
      data={{ "data-placed": name }}
      advice={advice}
      less={less}
      figure={figure}
      more={more}
      outcomes={[
        <StepOutcome key="down" step={down && { ...down, mark: named(down) }} none="" />,
        <StepOutcome key="up" step={up && { ...up, mark: named(up) }} none="" end />,
      ]}
    />
  );
}
