// What is placed with the marks (the feet on a plate, a link of a chain): where it stands, a touch down and up with what either
// would do, and where it is advised.
import type { Dispatch } from "react";
import type { Placed } from "../../../api/types";
import { say } from "../../../lib/say";
import type { BenchEvent } from "../../../model/bench";
import { StepButton } from "../../../ui/StepButton";
import { Card, Mark, Middle, Outcomes, Row, Top } from "./card";
import { BackTo, Quiet } from "./quiet";
import { StepOutcome } from "./StepOutcome";

type Props = {
  placed: Placed;
  advised: number | undefined;
  active: boolean;
  dense: boolean;
  dispatch: Dispatch<BenchEvent>;
};

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
    <Mark aria-label={title} aria-live="polite" $long={String(value).length > 3}>
      {value}
    </Mark>
  );
  const touch = (step: typeof down, sign: string, label: string) => (
    <StepButton aria-label={label} isDisabled={step === null} onPress={() => step && place(step.value)}>
      {sign}
    </StepButton>
  );
  const less = touch(down, "−", say("placedControl.titleDownTo", { title, to: down?.value ?? value }));
  const more = touch(up, "+", say("placedControl.titleUpTo", { title, to: up?.value ?? value }));
  if (dense)
    return (
      <Row $active={active} role="group" aria-label={title} data-placed={name}>
        {less}
        <Middle>
          <h2>{title}</h2>
          {figure}
          {advice}
        </Middle>
        {more}
      </Row>
    );
  return (
    <Card $active={active} role="group" aria-label={title} data-placed={name}>
      <Top>
        <h2>{title}</h2>
        {advice}
      </Top>
      {less}
      {figure}
      {more}
      <Outcomes>
        <StepOutcome step={down && { ...down, mark: String(down.value) }} none="" />
        <StepOutcome step={up && { ...up, mark: String(up.value) }} none="" end />
      </Outcomes>
    </Card>
  );
}
