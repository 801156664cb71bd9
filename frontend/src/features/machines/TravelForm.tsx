// One adjuster's travel, evenly spaced or mark by mark.
import { say } from "../../lib/say";
import { useState } from "react";
import styled from "styled-components";
import type { MachineAdjuster } from "../../api/types";
import { shownNumber, typedValue, type Unit, unitName } from "../../model/machineLengths";
import { evenTravel, isEven } from "../../model/marks";
import { Choice } from "../../ui/Choice";
import { Large } from "../../ui/MeasureSheet";
import { Field } from "../../ui/Field";
import { type Common, Taped } from "./Taped";
import { space } from "../../ui/tokens";

const Each = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(6rem, 1fr));
  gap: ${space(2)};
`;

type TravelProps = Common & {
  adjuster: MachineAdjuster;
  drives: readonly string[];
  onTyped: (travel: number[] | null) => void;
  onKeep: (travel: number[] | null, confirmed: boolean) => void;
};

const SPACING = [
  ["even", say("travelForm.evenlySpaced")],
  ["each", say("travelForm.perMark")],
] as const;

export function TravelForm({ adjuster, drives, onTyped, onKeep, ...common }: TravelProps) {
  const unit: Unit = adjuster.unit === "deg" ? "deg" : common.unit;
  const { marks, travel } = adjuster;
  const [first, last] = [marks[0] ?? "", marks.at(-1) ?? ""];
  const [spacing, setSpacing] = useState<"even" | "each">(travel && !isEven(travel) ? "each" : "even");
  const [whole, setWhole] = useState(travel ? shownNumber(travel.at(-1) ?? 0, unit) : "");
  const [each, setEach] = useState(() =>
    marks.map((_, at) => (travel ? shownNumber(travel[at] ?? 0, unit) : at === 0 ? "0" : "")),
  );
  const [problem, setProblem] = useState<string>();
  const read = (how: "even" | "each", total: string, list: string[]): number[] | null => {
    if (how === "even") {
      const number = typedValue(total, unit);
      return number === null ? null : evenTravel(number, marks.length);
    }
    const numbers = list.map((text) => typedValue(text, unit));
    return numbers.every((number) => number !== null) ? numbers : null;
  };
  const told = (how: "even" | "each", total: string, list: string[]) => {
    setProblem(undefined);
    onTyped(read(how, total, list));
  };
  const now = read(spacing, whole, each);
  const odd = (common.trial?.remarks ?? [])
    .filter(({ constants }) => constants.some((name) => drives.includes(name)))
    .map(({ says }) => says);
  return (
    <Taped
      {...common}
      title={say("travelForm.rowName", { name: adjuster.name })}
      how={adjuster.unit === "deg" ? say("travelForm.angleHint", { first }) : say("travelForm.lengthHint", { first })}
      taped={adjuster.taped}
      known={travel !== null}
      odd={now === null ? [] : odd}
      onForget={() => onKeep(null, true)}
      onKeep={(confirmed) => {
        setProblem(now === null ? say("travelForm.valuesLabel", { unit: unitName(unit) }) : undefined);
        if (now !== null) onKeep(now, confirmed);
      }}
    >
      <Choice
        compact
        label={say("travelForm.spacing")}
        options={SPACING}
        value={spacing}
        onChange={(how) => {
          setSpacing(how);
          told(how, whole, each);
        }}
      />
      {spacing === "even" ? (
        <Large>
          <Field
            label={say("travelForm.firstLast", { first, last, unit: unitName(unit) })}
            inputMode="decimal"
            autoComplete="off"
            autoFocus
            value={whole}
            complaint={problem}
            onChange={(typed) => {
              setWhole(typed);
              told("even", typed, each);
            }}
          />
        </Large>
      ) : (
        <Each>
          {marks.map((mark, index) => (
            <Field
              key={mark}
              label={mark}
              inputMode="decimal"
              autoComplete="off"
              value={each[index] ?? ""}
              isDisabled={index === 0}
              complaint={index === marks.length - 1 ? problem : undefined}
              onChange={(typed) => {
                const list = each.map((old, at) => (at === index ? typed : old));
                setEach(list);
                told("each", whole, list);
              }}
            />
          ))}
        </Each>
      )}
    </Taped>
  );
}
