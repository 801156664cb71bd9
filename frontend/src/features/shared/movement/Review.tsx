// What a set was against what was agreed: the line over time, what is worth saying, and the one thing to say next.
import { useState } from "react";
import styled from "styled-components";
import type { Movement, ReadSet } from "../../../api/types";
import { say } from "../../../lib/say";
import { MovementLine } from "../../../scene/MovementLine";
import { Choice } from "../../../ui/Choice";
import { Notice } from "../../../ui/Notice";
import { colour, font, size, space } from "../../../ui/tokens";

const Says = styled.ul`
  display: grid;
  gap: ${space(1)};
  margin: 0;
  padding-left: ${space(5)};
`;
const Next = styled.p`
  font-size: ${size.large};
  font-weight: ${font.strong};
  small {
    display: block;
    font-size: ${size.small};
    font-weight: ${font.regular};
    color: ${colour.inkMuted};
  }
`;

const NONE = "none";

type Props = { review: ReadSet; wholeShare: number; beside?: Movement["beside"] };

export function Review({ review, wholeShare, beside = [] }: Props) {
  const [chosen, setChosen] = useState(beside[0]?.name ?? NONE);
  if (review.repetitions.length === 0) return <p>{say("readByPhone.none")}</p>;
  return (
    <>
      <MovementLine
        review={review}
        wholeShare={wholeShare}
        beside={beside.find(({ name }) => name === chosen) ?? null}
      />
      {beside.length > 0 ? (
        <Choice
          label={say("readByPhone.over")}
          compact
          options={[...beside.map(({ name }) => [name, name] as const), [NONE, say("readByPhone.alone")] as const]}
          value={chosen}
          onChange={setChosen}
        />
      ) : null}
      {review.warns.length > 0 ? <Notice tone="wrong">{review.warns.join(" ")}</Notice> : null}
      {review.next ? (
        <Next>
          <small>{say("readByPhone.sayNext")}</small>
          {review.next}
        </Next>
      ) : null}
      <Says>
        {review.says.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </Says>
    </>
  );
}
