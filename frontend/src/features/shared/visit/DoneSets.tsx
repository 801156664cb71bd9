// The sets of today's visit, as they were written down; one written by mistake is taken back.
import styled from "styled-components";
import type { DoneSet } from "../../../api/types";
import { say } from "../../../lib/say";
import { BandShape } from "../../../ui/Band";
import { QuietButton } from "../../../ui/Button";
import { Small, Strong } from "../../../ui/Page";
import { SetReview } from "../movement/SetReview";
import { colour, space } from "../../../ui/tokens";

const List = styled.ol`
  border-top: 1px solid ${colour.line};
  li {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: ${space(3)};
    border-bottom: 1px solid ${colour.line};
  }
`;

const HOW: Record<string, string> = {
  easy: say("doneSets.easy"),
  clean: say("doneSets.cleanReps"),
  not_reached: say("doneSets.notReached"),
};
const HELP: Record<string, string> = {
  drop: say("doneSets.drop"),
  partner: say("doneSets.partner"),
  lowering: say("doneSets.lowering"),
  self: say("doneSets.self"),
};
const WHOLE = 0.9;

type Props = {
  sets: readonly DoneSet[];
  busy: boolean;
  odd: (set: DoneSet) => boolean;
  onTakeBack: (id: string) => void;
};

export function DoneSets({ sets, busy, odd, onTakeBack }: Props) {
  return (
    <List aria-label={say("doneSets.caption")} aria-live="polite">
      {sets.map((set, index) => (
        <li key={set.id} data-set={index + 1}>
          <span>
            <BandShape band={shape(set, odd(set))} />{" "}
            <Strong>
              {set.load ? `${set.load.text} × ${set.repetitions}` : say("doneSets.times", { count: set.repetitions })}
            </Strong>{" "}
            <Small>{told(set, odd(set))}</Small>
            {set.read ? <SetReview set={set.id} /> : null}
          </span>
          <QuietButton isDisabled={busy} onPress={() => onTakeBack(set.id)}>
            {say("doneSets.takeBack")}
            <span style={{ position: "absolute", clipPath: "inset(50%)" }}>
              {" "}
              {say("doneSets.setNumber", { number: index + 1 })}
            </span>
          </QuietButton>
        </li>
      ))}
    </List>
  );
}

const short = (set: DoneSet) => set.reached !== null && set.reached < WHOLE;

/** The same three shapes as everywhere. */
function shape(set: DoneSet, odd: boolean) {
  if (short(set) || set.sign !== null || (set.felt !== null && odd)) return "off";
  return set.last === "easy" || set.last === "clean" ? "in line" : "close";
}

const told = (set: DoneSet, odd: boolean): string =>
  [
    set.leg === "left" ? say("doneSets.left") : set.leg === "right" ? say("doneSets.right") : "",
    set.last ? (HOW[set.last] ?? "") : "",
    short(set) ? say("doneSets.rangeShare", { percent: Math.round((set.reached ?? 0) * 100) }) : "",
    HELP[set.kind] ?? "",
    set.helped > 0 ? say("doneSets.helped", { count: set.helped }) : "",
    odd && set.felt ? say("doneSets.feltIn", { region: set.felt.toLowerCase() }) : "",
    set.sign ?? "",
  ]
    .filter(Boolean)
    .join(", ");
