import type { Dispatch, ReactNode } from "react";
import { Button } from "react-aria-components";
import styled from "styled-components";
import type { Advice } from "../../api/types";
import type { Bench, BenchEvent } from "../../model/bench";
import { QuietButton } from "../../ui/Button";
import { breakpoint, colour, font, size, space, target } from "../../ui/tokens";

const Area = styled.section`
  grid-area: steps;
  border-right: 1px solid ${colour.line};
  overflow-y: auto;
  position: relative;
  padding: ${space(3)} 0;
  display: flex;
  flex-direction: column;
  @media ${breakpoint.phone} {
    border-right: 0;
  }
`;
const Item = styled.li<{ $active: boolean }>`
  border-left: 4px solid ${({ $active }) => ($active ? colour.action : "transparent")};
  background: ${({ $active }) => ($active ? colour.actionQuiet : "transparent")};
`;
const Head = styled(Button)`
  width: 100%;
  display: flex;
  align-items: center;
  gap: ${space(3)};
  min-height: ${target.least};
  padding: ${space(2)} ${space(4)};
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
  outline-offset: -3px;
  &[aria-current="step"] {
    font-weight: ${font.strong};
  }
`;
const Dot = styled.span<{ $state: "done" | "active" | "open" }>`
  flex: none;
  width: 15px;
  height: 15px;
  border-radius: 50%;
  border: 2px solid
    ${({ $state }) => ($state === "open" ? colour.lineStrong : $state === "done" ? colour.inLine : colour.action)};
  background: ${({ $state }) => ($state === "open" ? "transparent" : $state === "done" ? colour.inLine : colour.action)};
`;
const What = styled.div`
  padding: 0 ${space(4)} ${space(3)} ${space(11)};
  display: grid;
  gap: ${space(2)};
  line-height: 1.35;
  dl {
    display: grid;
    gap: ${space(2)};
  }
  dt,
  dd[data-quiet] {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
`;
const Foot = styled.div`
  margin-top: auto;
  padding: ${space(2)} ${space(3)} 0;
  display: flex;
  flex-wrap: wrap;
`;

type Props = { advice: Advice | null; bench: Bench; dispatch: Dispatch<BenchEvent>; discard: ReactNode };

/** The steps in the order in which a fitting is done; the one at hand says what to do, where to look, what is right. */
export function Steps({ advice, bench, dispatch, discard }: Props) {
  const writing = bench.active === null;
  return (
    <Area aria-label="Steps">
      <ol>
        {(advice?.steps ?? []).map((step) => {
          const active = bench.active === step.id;
          const state = active ? "active" : bench.done.includes(step.id) ? "done" : "open";
          const sure = advice?.adjusters.find((adjuster) => adjuster.label === step.adjuster);
          return (
            <Item key={step.id} $active={active}>
              <Head
                onPress={() => dispatch({ type: "choose", id: step.id })}
                aria-current={active ? "step" : undefined}
              >
                <Dot $state={state} />
                {step.title}
              </Head>
              {active ? (
                <What>
                  <p>{step.do}</p>
                  <dl>
                    <div>
                      <dt>Look</dt>
                      <dd>{step.look}</dd>
                    </div>
                    <div>
                      <dt>Right</dt>
                      <dd>{step.right}</dd>
                    </div>
                    {sure?.sure ? (
                      <div>
                        <dt>How sure</dt>
                        <dd data-quiet>
                          {sure.too_far ? `${sure.too_far} ` : ""}
                          {sure.sure}
                        </dd>
                      </div>
                    ) : null}
                  </dl>
                </What>
              ) : null}
            </Item>
          );
        })}
        <Item $active={writing}>
          <Head onPress={() => dispatch({ type: "choose", id: null })} aria-current={writing ? "step" : undefined}>
            <Dot $state={writing ? "active" : "open"} />
            Write down
          </Head>
          {writing ? (
            <What>
              <p>Every pin heard home, then accept: the marks, the numbers and what they rest on go on the card.</p>
              <dl>
                <div>
                  <dt>Before loading</dt>
                  <dd>Pain is a reason to stop. The maker&rsquo;s plate and licensed advice come first.</dd>
                </div>
              </dl>
            </What>
          ) : null}
        </Item>
      </ol>
      <Foot>
        <QuietButton onPress={() => dispatch({ type: "undo" })} isDisabled={bench.past.length === 0}>
          Undo
        </QuietButton>
        {discard}
      </Foot>
    </Area>
  );
}
