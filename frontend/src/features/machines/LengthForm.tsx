// One length of a machine, or one adjuster's travel: how to tape it, what was read, and what would be odd about it.
import { type ReactNode, useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { refusal } from "../../api/client";
import type { MachineAdjuster, MachineLength, Trial } from "../../api/types";
import { dayText } from "../../model/dates";
import type { LengthUnit } from "../../model/lengths";
import {
  type Side,
  sidesOf,
  shownNumber,
  typedValue,
  type Unit,
  unitName,
  usualSide,
} from "../../model/machineLengths";
import { evenTravel, isEven } from "../../model/marks";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Small } from "../../ui/Page";
import { colour, font, radius, size, space } from "../../ui/tokens";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  h2 {
    font-size: ${size.large};
  }
`;
const Large = styled.div`
  input {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: ${size.title};
    min-height: 60px;
  }
`;
const Each = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(6rem, 1fr));
  gap: ${space(2)};
`;
const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;

type Common = {
  unit: LengthUnit;
  locale: string;
  trial: Trial | undefined;
  busy: boolean;
  thrown: unknown;
  said: ReactNode;
};

/** The frame of both forms: what to do, the fields, what is odd, keep. */
function Taped(
  props: Common & {
    title: string;
    how: string;
    taped: MachineLength["taped"];
    known: boolean;
    odd: string[];
    onKeep: (confirmed: boolean) => void;
    onForget: () => void;
    children: ReactNode;
  },
) {
  const { title, how, taped, known, odd, busy, thrown, said, locale, onKeep, onForget, children } = props;
  const error = refusal(thrown);
  const refused = error?.code === "odd_length";
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        onKeep(false);
      }}
    >
      <h2>{title}</h2>
      <p>{how}</p>
      {children}
      {refused ? (
        <Notice tone="wrong">
          {error.message}
          <Actions style={{ marginTop: "0.75rem" }}>
            <SecondaryButton onPress={() => onKeep(true)} isDisabled={busy}>
              Read twice: keep it
            </SecondaryButton>
          </Actions>
        </Notice>
      ) : (
        odd.map((says) => <Notice key={says}>{says}</Notice>)
      )}
      {error && !refused ? <Notice tone="wrong">{error.message}</Notice> : null}
      <Actions>
        <PrimaryButton type="submit" isDisabled={busy}>
          {known ? "Replace it" : "Keep it"}
        </PrimaryButton>
        {known ? (
          <QuietButton onPress={onForget} isDisabled={busy}>
            Forget it
          </QuietButton>
        ) : null}
      </Actions>
      {taped ? (
        <Small>
          {taped.copied
            ? "Copied from another of the same make: check it here."
            : `Taped by ${taped.by ?? "somebody"}, ${dayText(taped.at, locale, new Date())}.`}
        </Small>
      ) : null}
      <Small role="status">{said}</Small>
    </Sheet>
  );
}

type LengthProps = Common & {
  length: MachineLength;
  mechanism: string;
  onTyped: (value: number | null) => void;
  onKeep: (value: number | null, confirmed: boolean) => void;
};

export function LengthForm({ length, mechanism, onTyped, onKeep, ...common }: LengthProps) {
  const unit: Unit = length.unit === "deg" ? "deg" : common.unit;
  const sides = sidesOf(length, mechanism);
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
        setProblem(number === null ? `A number in ${unitName(unit)}.` : undefined);
        if (number !== null) onKeep(number, confirmed);
      }}
    >
      <Large>
        <Field
          label={`Length in ${unitName(unit)}`.replace("Length in degrees", "Angle in degrees")}
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
          label="Which side"
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

type TravelProps = Common & {
  adjuster: MachineAdjuster;
  drives: readonly string[];
  onTyped: (travel: number[] | null) => void;
  onKeep: (travel: number[] | null, confirmed: boolean) => void;
};

const SPACING = [
  ["even", "Evenly spaced"],
  ["each", "Mark by mark"],
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
      title={`${adjuster.name}: from mark to mark`}
      how={
        adjuster.unit === "deg"
          ? `How far it turns from mark ${first}, in degrees.`
          : `Along the way it moves, from where it stands at mark ${first}.`
      }
      taped={adjuster.taped}
      known={travel !== null}
      odd={now === null ? [] : odd}
      onForget={() => onKeep(null, true)}
      onKeep={(confirmed) => {
        setProblem(now === null ? `Numbers in ${unitName(unit)}.` : undefined);
        if (now !== null) onKeep(now, confirmed);
      }}
    >
      <Choice
        compact
        label="Spacing"
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
            label={`From ${first} to ${last} in ${unitName(unit)}`}
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
