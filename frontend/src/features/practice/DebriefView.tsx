// Afterwards: every step beside what the numbers said, what it cost, and how it truly is, with the numbers on.
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { debriefQuery } from "../../api/queries";
import type { Debrief } from "../../api/types";
import { say } from "../../lib/say";
import { SceneDrawing } from "../../scene/SceneDrawing";
import { BandName } from "../../ui/Band";
import { SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Columns, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { colour, font, size, space } from "../../ui/tokens";
import { Stage } from "./layout";
import { useBegin } from "./useBegin";

const Total = styled.p`
  display: flex;
  align-items: baseline;
  gap: ${space(3)};
  output {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: 4.5rem;
    line-height: 1;
  }
`;
const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  td,
  th {
    padding: ${space(2)} ${space(3)} ${space(2)} 0;
    border-bottom: 1px solid ${colour.line};
    text-align: left;
    vertical-align: top;
    font-weight: ${font.regular};
  }
  td:first-child {
    width: 42%;
  }
  thead th {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
`;

const HUNDRED = 100;
const MINUTE = 60;

export function DebriefView({ id }: { id: string }) {
  const debrief = useQuery(debriefQuery(id));
  if (debrief.error) return <Notice tone="wrong">{refusal(debrief.error)?.message}</Notice>;
  if (!debrief.data) return null;
  const { total, passed, caution, had, steps, scene } = debrief.data;
  return (
    <Columns data-debrief>
      <div>
        <Total>
          <output>{total}</output>
          <Strong>{passed ? say("debrief.passed") : say("debrief.notPassed")}</Strong>
        </Total>
        {caution ? <Notice tone="wrong">{caution}</Notice> : null}
        <p>
          <Small>{say("debrief.had")}</Small> {had}
        </p>
        <Parts debrief={debrief.data} />
        <Again debrief={debrief.data} />
      </div>
      <div>
        <Section>
          <SectionTitle>{say("debrief.steps")}</SectionTitle>
          <Table>
            <thead>
              <tr>
                <th scope="col">{say("debrief.you")}</th>
                <th scope="col">{say("debrief.core")}</th>
              </tr>
            </thead>
            <tbody>
              {steps.map(({ did, instead, remark }, index) => (
                <tr key={`${index}-${did}`} data-step={index + 1}>
                  <td>{did}</td>
                  <td>
                    {instead ?? <Small>{say("debrief.same")}</Small>}
                    {remark ? (
                      <>
                        <br />
                        <Small>{remark}</Small>
                      </>
                    ) : null}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Section>
        {scene ? (
          <Section>
            <SectionTitle>{say("debrief.truly")}</SectionTitle>
            <Stage>
              <SceneDrawing scene={scene} description={say("debrief.picture")} name="debrief" />
            </Stage>
          </Section>
        ) : null}
      </div>
    </Columns>
  );
}

/** The same client once more, on the machine as it is described now. */
function Again({ debrief: { machine_id, exercise, level, seed } }: { debrief: Debrief }) {
  const again = useBegin();
  return (
    <p style={{ marginTop: space(4) }}>
      <SecondaryButton isDisabled={again.isPending} onPress={() => again.mutate({ machine_id, exercise, level, seed })}>
        {say("debrief.again")}
      </SecondaryButton>
      {again.error ? <Notice tone="wrong">{refusal(again.error)?.message}</Notice> : null}
    </p>
  );
}

const bandOf = (severity: number) => (severity === 0 ? "in line" : severity === 1 ? "close" : "off");

function Parts({ debrief }: { debrief: Debrief }) {
  const { parts, severities, true_severities, moves, seconds, marks } = debrief;
  return (
    <Table>
      <tbody>
        {parts.map(({ name, title, share, of }) => (
          <tr key={name} data-part={name}>
            <th scope="row">{title}</th>
            <td>{say("debrief.share", { percent: Math.round(share * HUNDRED), of })}</td>
          </tr>
        ))}
        {severities ? (
          <>
            <Both title={say("debrief.marks")} pair={marks} />
            <Both title={say("debrief.moves")} pair={moves.map(String)} />
          </>
        ) : null}
        <Both title={say("debrief.minutes")} pair={seconds.map((one) => (one / MINUTE).toFixed(1))} />
        {severities ? <Both title={say("debrief.expected")} pair={severities.map(String)} /> : null}
        {true_severities ? (
          <tr>
            <th scope="row">{say("debrief.hidden")}</th>
            <td>
              {true_severities.map((one, index) => (
                <span key={index === 0 ? "you" : "core"}>
                  {index === 0 ? say("debrief.yours") : say("debrief.cores")} <BandName band={bandOf(one)} />
                  <br />
                </span>
              ))}
            </td>
          </tr>
        ) : null}
      </tbody>
    </Table>
  );
}

function Both({ title, pair }: { title: string; pair: readonly string[] }) {
  return (
    <tr>
      <th scope="row">{title}</th>
      <td>
        {say("debrief.yours")} {pair[0]}
        <br />
        <Small>
          {say("debrief.cores")} {pair[1]}
        </Small>
      </td>
    </tr>
  );
}
