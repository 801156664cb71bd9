// One length of a machine, or one adjuster's travel: how to tape it, what was read, and what would be odd about it.
import { say } from "../../lib/say";
import { useState } from "react";
import type { MachineLength } from "../../api/types";
import {
  impossible,
  type Side,
  shownNumber,
  typedUnit,
  typedValue,
  unitName,
  usualSide,
} from "../../model/machineLengths";
import { Choice } from "../../ui/Choice";
import { Large } from "../../ui/MeasureSheet";
import { Field } from "../../ui/Field";
import { type Common, Taped } from "./Taped";

type LengthProps = Common & {
  length: MachineLength;
  onTyped: (value: number | null) => void;
  onKeep: (value: number | null, confirmed: boolean) => void;
};

export function LengthForm({ length, onTyped, onKeep, ...common }: LengthProps) {
  const unit = typedUnit(length, common.unit);
  const sides = { plus: length.plus, minus: length.minus };
  const [side, setSide] = useState<Side>(
    length.value === null || length.value === 0 ? usualSide(length) : length.value < 0 ? -1 : 1,
  );
  const [text, setText] = useState(length.value === null ? "" : shownNumber(length.value, unit));
  const [problem, setProblem] = useState<string>();
  const value = (typed: string, at: Side): number | null => {
    const number = typedValue(typed, unit);
    return number === null ? null : number * at;
  };
  const change = (typed: string, at: Side) => {
    setText(typed);
    setSide(at);
    setProblem(undefined);
    onTyped(value(typed, at));
  };
  const odd = (common.trial?.remarks ?? [])
    .filter(({ constants }) => constants.includes(length.name))
    .map(({ says }) => says);
  return (
    <Taped
      {...common}
      title={length.title}
      how={length.how}
      taped={length.taped}
      known={length.value !== null}
      odd={value(text, side) === null ? [] : odd}
      onForget={() => {
        setText("");
        onKeep(null, true);
      }}
      onKeep={(confirmed) => {
        const number = value(text, side);
        const wrong =
          number === null ? say("lengthForm.valueProblem", { unit: unitName(unit) }) : impossible(length, number, unit);
        setProblem(wrong ?? undefined);
        if (number !== null && wrong === null) onKeep(number, confirmed);
      }}
    >
      <Large>
        <Field
          label={
            length.unit === "mm"
              ? say("lengthForm.lengthLabel", { unit: unitName(unit) })
              : length.unit === "deg"
                ? say("lengthForm.angleLabel")
                : say("lengthForm.numberLabel", { unit: unitName(unit) })
          }
          inputMode="decimal"
          autoComplete="off"
          autoFocus
          value={text}
          complaint={problem}
          onChange={(typed) => change(typed, side)}
        />
      </Large>
      {sides.plus && sides.minus ? (
        <Choice
          compact
          label={say("lengthForm.whichSide")}
          options={[
            [usualSide(length) === 1 ? "1" : "-1", (usualSide(length) === 1 ? sides.plus : sides.minus) ?? ""],
            [usualSide(length) === 1 ? "-1" : "1", (usualSide(length) === 1 ? sides.minus : sides.plus) ?? ""],
          ]}
          value={String(side)}
          onChange={(chosen) => change(text, chosen === "1" ? 1 : -1)}
          stacked
        />
      ) : null}
    </Taped>
  );
}
