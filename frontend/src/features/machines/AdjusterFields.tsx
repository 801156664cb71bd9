// One adjuster as it is met on the machine: what it moves, its marks as printed, and the walk-round.
import { say } from "../../lib/say";
import { Button } from "react-aria-components";
import styled from "styled-components";
import type { Family } from "../../api/types";
import { type AdjusterDraft, kindsOf, leadersFor, type Problems } from "../../model/machineDraft";
import { parseMarks } from "../../model/marks";
import { QuietButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { breakpoint, colour, font, radius, size, space, target } from "../../ui/tokens";

const Card = styled.fieldset`
  margin: 0;
  min-width: 0;
  display: grid;
  gap: ${space(4)};
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panelQuiet};
  legend {
    font-weight: ${font.strong};
    padding: 0 ${space(1)};
  }
`;
const Row = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${space(4)};
  align-items: start;
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Chips = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)};
  min-height: 2rem;
  span {
    min-width: 2rem;
    padding: 0 ${space(2)};
    border: 1px solid ${colour.lineStrong};
    border-radius: ${radius};
    background: ${colour.panel};
    font-family: ${font.mark};
    font-weight: ${font.strong};
    text-align: center;
    line-height: 2;
  }
`;
const Ends = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: ${space(2)};
`;
const Move = styled(Button)`
  min-width: ${target.least};
  min-height: ${target.least};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  font-size: ${size.large};
  cursor: pointer;
  &[data-disabled] {
    opacity: 0.35;
  }
`;

// What is kept, and what it is called.
const SIDES = [
  ["", say("adjusterFields.notNoted")],
  ["left", say("adjusterFields.left")],
  ["right", say("adjusterFields.right")],
  ["behind", say("adjusterFields.behind")],
  ["in front", say("adjusterFields.inFront")],
] as const;
const UNLOCKS = [
  ["", say("adjusterFields.notNoted")],
  ["pull pin", say("adjusterFields.pullPin")],
  ["push button", say("adjusterFields.pushButton")],
  ["twist knob", say("adjusterFields.twistKnob")],
  ["lever", say("adjusterFields.lever")],
  ["friction", say("adjusterFields.friction")],
  ["click", say("adjusterFields.click")],
] as const;

type Props = {
  adjuster: AdjusterDraft;
  family: Family;
  part: string;
  problems: Problems;
  place: { first: boolean; last: boolean };
  /** all of its part */
  adjusters: readonly AdjusterDraft[];
  onChange: (changed: AdjusterDraft) => void;
  onMove: (by: 1 | -1) => void;
  onRemove: () => void;
};

export function AdjusterFields(props: Props) {
  const { adjuster, family, part, problems, place, adjusters, onChange, onMove, onRemove } = props;
  const leaders = leadersFor(adjuster, adjusters);
  const kinds = kindsOf(family, part);
  const kind = kinds.find(({ name }) => name === adjuster.kind);
  const set = (fields: Partial<AdjusterDraft>) => onChange({ ...adjuster, ...fields });
  const walk = (fields: Partial<AdjusterDraft["walkRound"]>) =>
    set({ walkRound: { ...adjuster.walkRound, ...fields } });
  const marks = parseMarks(adjuster.marks);
  return (
    <Card>
      <legend>{adjuster.label || say("adjusterFields.adjuster")}</legend>
      <Row>
        <Select
          label={say("adjusterFields.movesTitle")}
          options={kinds.map(({ name, title }) => [name, title] as const)}
          value={adjuster.kind}
          onChange={(name) => {
            const chosen = kinds.find((one) => one.name === name);
            const named = kind && adjuster.label === kind.label ? (chosen?.label ?? adjuster.label) : adjuster.label;
            set({ kind: name, label: named });
          }}
        />
        <Field
          label={say("adjusterFields.called")}
          value={adjuster.label}
          maxLength={40}
          autoComplete="off"
          complaint={problems[`label ${adjuster.key}`]}
          onChange={(label) => set({ label })}
        />
        <Field
          label={say("adjusterFields.marksTitle")}
          hint={say("adjusterFields.marksHint")}
          value={adjuster.marks}
          autoComplete="off"
          complaint={problems[`marks ${adjuster.key}`]}
          onChange={(text) => set({ marks: text })}
        />
      </Row>
      <Chips aria-label={say("adjusterFields.marksName", { label: adjuster.label })}>
        {marks.slice(0, 60).map((mark, index) => (
          <span key={`${mark} ${index}`}>{mark}</span>
        ))}
      </Chips>
      {kind && kind.name !== "recorded" && marks.length > 1 ? (
        <Choice
          label={say("adjusterFields.pair", { mark: marks[0], at: marks.at(-1) })}
          options={[
            ["forwards", kind.forwards],
            ["backwards", kind.backwards],
          ]}
          value={adjuster.forwards ? "forwards" : "backwards"}
          onChange={(way) => set({ forwards: way === "forwards" })}
        />
      ) : null}
      {leaders.length > 0 ? (
        <Row>
          <Select
            label={say("adjusterFields.sameAs")}
            complaint={problems[`same ${adjuster.key}`]}
            options={[
              ["", say("adjusterFields.byItself")],
              ...leaders.map(({ key, label }) => [String(key), say("adjusterFields.asOther", { label })] as const),
            ]}
            value={adjuster.sameAs === null ? "" : String(adjuster.sameAs)}
            onChange={(key) => set({ sameAs: key === "" ? null : Number(key) })}
          />
        </Row>
      ) : null}
      <Row>
        <Select
          label={say("adjusterFields.side")}
          options={SIDES}
          value={adjuster.walkRound.side}
          onChange={(side) => walk({ side })}
        />
        <Field
          label={say("adjusterFields.handleColour")}
          value={adjuster.walkRound.handle}
          maxLength={40}
          autoComplete="off"
          onChange={(handle) => walk({ handle })}
        />
        <Select
          label={say("adjusterFields.unlocksWith")}
          options={UNLOCKS}
          value={adjuster.walkRound.unlocks}
          onChange={(unlocks) => walk({ unlocks })}
        />
      </Row>
      <Ends>
        <span>
          <Tick
            isSelected={adjuster.walkRound.reachable_seated}
            onChange={(reachable_seated) => walk({ reachable_seated })}
          >
            {say("adjusterFields.seatedTick")}
          </Tick>
          <Tick
            isSelected={adjuster.walkRound.weight_off_first}
            onChange={(weight_off_first) => walk({ weight_off_first })}
          >
            {say("adjusterFields.loadOffTick")}
          </Tick>
          <Tick isSelected={adjuster.walkRound.both_sides ?? false} onChange={(both_sides) => walk({ both_sides })}>
            {say("adjusterFields.bothSidesTick")}
          </Tick>
        </span>
        <span>
          <Move
            aria-label={say("adjusterFields.earlier", { label: adjuster.label })}
            isDisabled={place.first}
            onPress={() => onMove(-1)}
          >
            ↑
          </Move>{" "}
          <Move
            aria-label={say("adjusterFields.later", { label: adjuster.label })}
            isDisabled={place.last}
            onPress={() => onMove(1)}
          >
            ↓
          </Move>
          <QuietButton onPress={onRemove}>{say("adjusterFields.remove")}</QuietButton>
        </span>
      </Ends>
    </Card>
  );
}
