import { say } from "../../../lib/say";
import styled from "styled-components";
import type { Sheet } from "../../../api/types";
import { QuietButton } from "../../../ui/Button";
import { FieldHint } from "../../../ui/Field";
import { Tick } from "../../../ui/Tick";
import { StepButton, Stepper } from "../../../ui/StepButton";
import { font } from "../../../ui/tokens";
import { PanelTitle } from "../Panel";

/** A finger's width, by which an eye tells how far off a knee is; the lens is nudged by half of one. */
const FINGER_MM = 15;
const NUDGE_MM = FINGER_MM / 2;
const MOST_MM = 60;

const Seen = styled.output`
  font-weight: ${font.strong};
  line-height: 1.2;
`;

/** In fingers, as it is told on the floor. */
export function seenText(off_mm: number | null): string {
  if (off_mm === null) return say("kneeSeen.notLooked");
  if (off_mm === 0) return say("kneeSeen.onDot");
  const fingers = Math.abs(off_mm) / FINGER_MM;
  const amount =
    fingers === 0.5
      ? say("kneeSeen.smallOffset")
      : fingers === 1
        ? say("kneeSeen.aFinger")
        : say("kneeSeen.fingersFingers", { fingers });
  return off_mm > 0 ? say("kneeSeen.ahead", { amount }) : say("kneeSeen.behind", { amount });
}

type Props = { sheet: Sheet; onChange: (fields: Partial<Pick<Sheet, "knee_off_mm" | "roller_seen">>) => void };

/** Where the knee was seen from the side: on the dot, or nudged off it on the lens. What makes a fitting a checked one. */
export function KneeSeen({ sheet, onChange }: Props) {
  const off = sheet.knee_off_mm;
  const nudge = (by: number) => onChange({ knee_off_mm: (off ?? 0) + by });
  return (
    <div role="group" aria-label={say("kneeSeen.title")}>
      <PanelTitle>{say("kneeSeen.title")}</PanelTitle>
      <Stepper>
        <StepButton
          aria-label={say("kneeSeen.smallBehind")}
          isDisabled={(off ?? 0) <= -MOST_MM}
          onPress={() => nudge(-NUDGE_MM)}
        >
          ◀
        </StepButton>
        <Seen aria-live="polite" aria-label={say("kneeSeen.kneeSeen")}>
          {seenText(off)}
        </Seen>
        <StepButton
          aria-label={say("kneeSeen.smallAhead")}
          isDisabled={(off ?? 0) >= MOST_MM}
          onPress={() => nudge(NUDGE_MM)}
        >
          ▶
        </StepButton>
      </Stepper>
      <QuietButton onPress={() => onChange({ knee_off_mm: 0 })} isDisabled={off === 0}>
        {say("kneeSeen.onDot")}
      </QuietButton>
      <QuietButton onPress={() => onChange({ knee_off_mm: null })} isDisabled={off === null}>
        {say("kneeSeen.notLooked")}
      </QuietButton>
      <Tick isSelected={sheet.roller_seen} onChange={(roller_seen) => onChange({ roller_seen })}>
        {say("kneeSeen.rollerTick")}
      </Tick>
      <FieldHint>{say("kneeSeen.teaches")}</FieldHint>
    </div>
  );
}
