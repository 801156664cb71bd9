// What is lifted today, as large as a mark, with the light set beside it, why it is that, and a step either way.
import type { ReactNode } from "react";
import styled from "styled-components";
import type { TodayLoad, Visit } from "../../../api/types";
import { say } from "../../../lib/say";
import { loadOf, type SetDraft, steps, todayFor } from "../../../model/setDraft";
import { Small, Strong } from "../../../ui/Page";
import { StepButton } from "../../../ui/StepButton";
import { colour, font, size, space, target } from "../../../ui/tokens";

const Head = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
  gap: ${space(2)} ${space(4)};
`;
export const Figure = styled.output<{ $long: boolean }>`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${({ $long }) => ($long ? "3.5rem" : "5rem")};
  white-space: nowrap;
  line-height: 0.95;
  letter-spacing: -0.08em;
  word-spacing: -0.45em;
  small {
    font-family: ${font.text};
    font-weight: ${font.regular};
    font-size: ${size.title};
    letter-spacing: 0;
  }
`;
const Label = styled.div`
  display: flex;
  align-items: center;
  gap: ${space(4)};
  margin-bottom: ${space(2)};
`;
const Stepped = styled.div`
  display: flex;
  align-items: center;
  gap: ${space(3)};
  ${StepButton} {
    flex: none;
    width: ${target.step};
  }
`;
const Light = styled.p`
  text-align: right;
  font-size: ${size.small};
  color: ${colour.inkMuted};
  b {
    display: block;
    font-family: ${font.mark};
    font-size: ${size.title};
    line-height: 1.1;
    color: ${colour.ink};
    word-spacing: -0.3em;
  }
`;

/** Digits that stand at full size. */
export const SHORT = 3;

type Props = { visit: Visit; draft: SetDraft; legs: ReactNode; onLoad: (kg: number) => void };

export function Lifted({ visit, draft, legs, onLoad }: Props) {
  const today = todayFor(visit, draft.leg);
  const kg = loadOf(visit, draft);
  const { now, down, up } = steps(visit, kg);
  const shown = now ?? today?.load ?? null;
  if (!today || !shown) return null;
  const before = visit.history.at(-1)?.load?.text;
  const changed = today.load !== null && shown.kg !== today.load.kg;
  return (
    <div data-lifted={shown.text}>
      <Head>
        <div>
          <Label>
            <Small>{say("lifted.loadToday")}</Small> {legs}
          </Label>
          <Stepped>
            <StepButton
              aria-label={down ? say("lifted.downTo", { load: down.text }) : say("lifted.nothingLighter")}
              isDisabled={!down}
              onPress={() => down && onLoad(down.kg)}
            >
              −
            </StepButton>
            <Figure
              $long={shown.text.indexOf(" ") > SHORT}
              aria-label={say("lifted.loadTodayIs", { load: shown.text })}
            >
              <Printed text={shown.text} />
            </Figure>
            <StepButton
              aria-label={up ? say("lifted.upTo", { load: up.text }) : say("lifted.nothingHeavier")}
              isDisabled={!up}
              onPress={() => up && onLoad(up.kg)}
            >
              +
            </StepButton>
          </Stepped>
        </div>
        <LightSet today={today} />
      </Head>
      <p>
        <Strong>{shown.how}.</Strong>{" "}
        {visit.going_on?.next_time ?? (changed ? say("lifted.differs", { load: today.load?.text }) : today.says)}
        {before ? <Small> {say("lifted.lastTime", { load: before })}</Small> : null}
      </p>
    </div>
  );
}

/** "42 kg" with the unit small. */
export function Printed({ text }: { text: string }) {
  const [number, unit] = text.split(" ");
  return (
    <>
      {number} <small>{unit}</small>
    </>
  );
}

export function LightSet({ today }: { today: NonNullable<TodayLoad> }) {
  if (today.alone || !today.light) return null;
  return (
    <Light>
      {say("lifted.lightSet")}
      <b>{today.light.text}</b>
      {today.light.how.toLowerCase()}
    </Light>
  );
}
