import type { Dispatch } from "react";
import { Button } from "react-aria-components";
import styled from "styled-components";
import type { Advice, AdvisedAdjuster, Evaluation, Machine } from "../../api/types";
import { neighbour, type Bench, type BenchEvent } from "../../model/bench";
import { BandShape, SEVERITY_BANDS } from "../../ui/Band";
import { breakpoint, colour, font, radius, size, space, target } from "../../ui/tokens";

const Area = styled.section`
  grid-area: controls;
  border-left: 1px solid ${colour.line};
  padding: ${space(3)};
  display: grid;
  gap: ${space(3)};
  align-content: start;
  overflow-y: auto;
  @media ${breakpoint.phone} {
    border-left: 0;
  }
`;
const Card = styled.div<{ $active: boolean }>`
  display: grid;
  grid-template-columns: ${target.step} 1fr ${target.step};
  grid-template-rows: auto auto auto;
  gap: ${space(2)};
  align-items: center;
  padding: ${space(3)};
  border-radius: ${radius};
  border: 1px solid ${({ $active }) => ($active ? colour.action : colour.line)};
  box-shadow: ${({ $active }) => ($active ? `inset 0 0 0 1px ${colour.action}` : "none")};
  background: ${colour.panel};
`;
const Top = styled.div`
  grid-column: 1 / -1;
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: ${space(2)};
  h2 {
    font-size: ${size.text};
  }
`;
const Advised = styled.span`
  font-size: ${size.small};
  color: ${colour.inkMuted};
`;
const BackTo = styled(Button)`
  padding: ${space(1)} ${space(2)};
  margin: -${space(1)} -${space(2)};
  border: 0;
  border-radius: ${radius};
  background: ${colour.closeFill};
  color: ${colour.ink};
  font-size: ${size.small};
  font-weight: ${font.strong};
  cursor: pointer;
`;
const Step = styled(Button)`
  height: ${target.step};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.ground};
  font-size: ${size.title};
  line-height: 1;
  cursor: pointer;
  &[data-hovered] {
    background: ${colour.actionQuiet};
    border-color: ${colour.action};
  }
  &[data-disabled] {
    opacity: 0.35;
    cursor: default;
  }
`;
const Mark = styled.output`
  justify-self: center;
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.mark};
  line-height: 1;
  letter-spacing: -0.1em;
`;
const Outcome = styled.span<{ $end?: boolean }>`
  display: flex;
  align-items: flex-start;
  gap: ${space(1)};
  justify-self: ${({ $end }) => ($end ? "end" : "start")};
  font-size: ${size.small};
  line-height: 1.2;
  svg {
    margin-top: 0.15em;
  }
`;
const Outcomes = styled.div`
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space(2)};
  min-height: 2.1rem;
`;

type Props = {
  advice: Advice | null;
  machine: Machine;
  bench: Bench;
  evaluation: Evaluation;
  dispatch: Dispatch<BenchEvent>;
};

/** One control an adjuster: the mark as printed, a step down and up and what either would do, the mark advised. */
export function Controls({ advice, machine, bench, evaluation, dispatch }: Props) {
  return (
    <Area aria-label="Adjusters">
      {machine.adjusters.map(({ label, name }) => {
        const mark = bench.marks[label];
        const steps = evaluation.steps[label];
        const advised = advice?.adjusters.find((adjuster) => adjuster.label === label);
        const [down, up] = [neighbour(machine, label, mark, -1), neighbour(machine, label, mark, 1)];
        return (
          <Card key={label} $active={bench.active === label} role="group" aria-label={name} data-adjuster={label}>
            <Top>
              <h2>{name}</h2>
              {advised ? (
                <Advice
                  advised={advised}
                  mark={mark}
                  onSet={() => dispatch({ type: "set", label, mark: advised.mark })}
                />
              ) : null}
            </Top>
            <Step
              aria-label={down ? `${name} one mark down, to ${down}` : `${name}: no mark below`}
              isDisabled={down === null}
              onPress={() => dispatch({ type: "step", machine, label, by: -1 })}
            >
              −
            </Step>
            <Mark aria-label={`${name} mark`} aria-live="polite">
              {mark}
            </Mark>
            <Step
              aria-label={up ? `${name} one mark up, to ${up}` : `${name}: no mark above`}
              isDisabled={up === null}
              onPress={() => dispatch({ type: "step", machine, label, by: 1 })}
            >
              +
            </Step>
            <Outcomes>
              <Outcome>
                {steps?.down ? (
                  <>
                    <BandShape band={SEVERITY_BANDS[steps.down.severity] ?? "off"} diameter={12} /> {steps.down.mark}:{" "}
                    {steps.down.short}
                  </>
                ) : (
                  "first mark"
                )}
              </Outcome>
              <Outcome $end>
                {steps?.up ? (
                  <>
                    <BandShape band={SEVERITY_BANDS[steps.up.severity] ?? "off"} diameter={12} /> {steps.up.mark}:{" "}
                    {steps.up.short}
                  </>
                ) : (
                  "last mark"
                )}
              </Outcome>
            </Outcomes>
          </Card>
        );
      })}
    </Area>
  );
}

function Advice({ advised, mark, onSet }: { advised: AdvisedAdjuster; mark: string | undefined; onSet: () => void }) {
  const sure = advised.probability === null ? "" : ` · ${Math.round(advised.probability * 100)} %`;
  if (advised.mark !== mark) return <BackTo onPress={onSet}>advised {advised.mark}</BackTo>;
  return <Advised>advised{sure}</Advised>;
}
