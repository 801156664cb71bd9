// One step: its line in the list and, while it is at hand, the one sentence with what stands behind it.
import { useEffect, useRef } from "react";
import { Button } from "react-aria-components";
import styled from "styled-components";
import type { BenchStep, FittingPage } from "../../../api/types";
import { say } from "../../../lib/say";
import { QuietButton } from "../../../ui/Button";
import { colour, font, size, space, target } from "../../../ui/tokens";

const Item = styled.li<{ $active: boolean }>`
  border-left: 4px solid ${({ $active }) => ($active ? colour.action : "transparent")};
  background: ${({ $active }) => ($active ? colour.actionQuiet : "transparent")};
`;
export const Head = styled(Button)`
  width: 100%;
  display: flex;
  align-items: center;
  gap: ${space(3)};
  min-height: ${target.least};
  padding: ${space(1)} ${space(4)};
  border: 0;
  background: none;
  text-align: left;
  line-height: 1.2;
  cursor: pointer;
  outline-offset: -3px;
  &[aria-current="step"] {
    font-weight: ${font.strong};
  }
`;
export type State = "done" | "active" | "open" | "skipped";
const FILLS: Record<State, string> = {
  done: colour.inLine,
  active: colour.action,
  open: "transparent",
  skipped: "transparent",
};
export const Dot = styled.span<{ $state: State }>`
  flex: none;
  width: 15px;
  height: 15px;
  border-radius: 50%;
  border: 2px ${({ $state }) => ($state === "skipped" ? "dashed" : "solid")}
    ${({ $state }) => ($state === "open" || $state === "skipped" ? colour.lineStrong : FILLS[$state])};
  background: ${({ $state }) => FILLS[$state]};
`;
export const Aside = styled.span<{ $warn?: boolean }>`
  margin-left: auto;
  font-size: ${size.small};
  font-weight: ${font.regular};
  color: ${({ $warn }) => ($warn ? colour.closeInk : colour.inkMuted)};
`;
const What = styled.div`
  padding: 0 ${space(4)} ${space(3)} ${space(11)};
  display: grid;
  gap: ${space(2)};
  line-height: 1.35;
  dl,
  ul {
    display: grid;
    gap: ${space(2)};
  }
  ul {
    padding-left: ${space(3)};
    border-left: 3px solid ${colour.line};
    font-size: ${size.small};
  }
  dt,
  dd[data-quiet] {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
`;
const First = styled.ul`
  && {
    border-left-color: ${colour.close};
  }
`;
/** What stands behind a step's one sentence: notes, where to look, what is right, how sure. */
function Behind({ step, sure }: Pick<StepProps, "step" | "sure">) {
  return (
    <>
      {step.notes.length > 0 ? (
        <ul>
          {step.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      ) : null}
      <dl>
        <div>
          <dt>{say("steps.look")}</dt>
          <dd>{step.look}</dd>
        </div>
        <div>
          <dt>{say("steps.right")}</dt>
          <dd>{step.right}</dd>
        </div>
        {sure?.sure ? (
          <div>
            <dt>{say("steps.howSure")}</dt>
            <dd data-quiet>
              {sure.too_far ? `${sure.too_far} ` : ""}
              {sure.sure}
            </dd>
          </div>
        ) : null}
      </dl>
    </>
  );
}

type StepProps = {
  step: BenchStep;
  state: State;
  skipped: string | undefined;
  disturbed: boolean;
  sure: NonNullable<FittingPage["advice"]>["adjusters"][number] | null;
  /** whether what stands behind the one sentence is open; it stays so from step to step */
  more: boolean;
  onMore: () => void;
  onChoose: () => void;
};

export function Step({ step, state, skipped, disturbed, sure, more, onMore, onChoose }: StepProps) {
  const active = state === "active";
  const item = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (active) item.current?.scrollIntoView({ block: "nearest" });
  }, [active]);
  return (
    <Item ref={item} $active={active} data-step={step.id} data-state={state}>
      <Head onPress={onChoose} aria-current={active ? "step" : undefined}>
        <Dot $state={state} />
        {step.title}
        {disturbed ? (
          <Aside $warn>{say("steps.moved")}</Aside>
        ) : state === "skipped" ? (
          <Aside>{skipped ? say("steps.skippedSkipped", { skipped }) : say("steps.skipped")}</Aside>
        ) : null}
      </Head>
      {active ? (
        <What>
          <p>{step.do}</p>
          {step.first.length > 0 ? (
            <First>
              {step.first.map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </First>
          ) : null}
          <QuietButton style={{ justifySelf: "start", paddingLeft: 0 }} onPress={onMore} aria-expanded={more}>
            {more ? say("steps.less") : say("steps.more")}
          </QuietButton>
          {more ? <Behind step={step} sure={sure} /> : null}
        </What>
      ) : null}
    </Item>
  );
}
