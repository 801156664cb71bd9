// Contested questions, each with its schools and a reason for each side.
import { say } from "../../lib/say";
import type { ReactNode } from "react";
import { Label, Radio, RadioGroup } from "react-aria-components";
import styled from "styled-components";
import type { Question } from "../../api/types";
import { Small } from "../../ui/Page";
import { breakpoint, colour, font, radius, size, space, target } from "../../ui/tokens";

const List = styled.ul`
  display: grid;
  gap: ${space(3)};
`;
const Item = styled.li`
  display: grid;
  grid-template-columns: 15rem minmax(0, 1fr);
  gap: ${space(2)} ${space(5)};
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Group = styled(RadioGroup)`
  display: contents;
`;
const Title = styled(Label)`
  font-weight: ${font.strong};
  small {
    display: block;
    font-size: ${size.small};
    font-weight: ${font.regular};
    color: ${colour.inkMuted};
  }
`;
const Schools = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
  gap: ${space(2)};
`;
const School = styled(Radio)`
  position: relative;
  display: grid;
  align-content: start;
  min-height: ${target.step};
  padding: ${space(2)} ${space(3)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  cursor: pointer;
  line-height: 1.3;
  small {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
  &[data-hovered] {
    border-color: ${colour.action};
  }
  &[data-selected] {
    border-color: ${colour.action};
    background: ${colour.actionQuiet};
    box-shadow: inset 0 0 0 1px ${colour.action};
    span {
      font-weight: ${font.strong};
    }
  }
`;

type Props = {
  questions: readonly Question[];
  /** a first choice beside the schools: as the gym has it */
  asTheGym?: (question: Question) => string;
  onChoose: (question: Question, school: string | null) => void;
  below?: (question: Question) => ReactNode;
  /** what stands is only shown */
  readOnly?: boolean;
};

const GYM = "as-the-gym";

export function QuestionList({ questions, asTheGym, onChoose, below, readOnly = false }: Props) {
  return (
    <List>
      {questions.map((question) => (
        <Item key={question.name} data-question={question.name}>
          <Group
            value={question.chosen ?? GYM}
            isReadOnly={readOnly}
            onChange={(school) => onChoose(question, school === GYM ? null : school)}
          >
            <Title>
              {question.title}
              {question.computed ? <small>{say("questionList.advisesNote")}</small> : null}
            </Title>
            <Schools>
              {asTheGym ? (
                <School value={GYM}>
                  <span>{say("questionList.gymOption")}</span>
                  <small>{asTheGym(question)}</small>
                </School>
              ) : null}
              {question.schools.map((school) => (
                <School key={school.name} value={school.name}>
                  <span>{school.title}</span>
                  <small>{school.reason}</small>
                </School>
              ))}
            </Schools>
          </Group>
          {below?.(question)}
          {question.by && question.reason ? (
            <Small>
              {question.by}: {question.reason}
            </Small>
          ) : null}
        </Item>
      ))}
    </List>
  );
}
