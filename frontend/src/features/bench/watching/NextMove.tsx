// The one move that everything which was seen speaks for: what it does, how sure, and what else it changes.
import styled from "styled-components";
import type { NextMove as Next } from "../../../api/types";
import { say } from "../../../lib/say";
import { PrimaryButton } from "../../../ui/Button";
import { colour, font, radius, size, space } from "../../../ui/tokens";

const Card = styled.section`
  display: grid;
  gap: ${space(1)};
  margin: 0 0 ${space(3)} ${space(2)};
  padding: ${space(3)};
  border: 1px solid ${colour.line};
  border-left: 3px solid ${colour.action};
  border-radius: ${radius};
`;
const Says = styled.p`
  margin: 0;
  font-weight: ${font.strong};
`;
const Beside = styled.p`
  margin: 0;
  font-size: ${size.small};
`;
const Button = styled(PrimaryButton)`
  justify-self: start;
`;

type Props = { next: NonNullable<Next>; onMove: (adjuster: string, mark: string) => void };

export function NextMove({ next, onMove }: Props) {
  const { move, says, sure, also, unexplained } = next;
  if (!move && !says && unexplained.length === 0) return null;
  return (
    <Card aria-label={say("signs.reading")} data-next-move={move?.adjuster ?? ""}>
      <Beside>{say("signs.reading")}</Beside>
      {unexplained.length > 0 ? <Says>{say("signs.unexplained")}</Says> : null}
      {says ? <Says>{says}</Says> : null}
      {sure && says ? <Beside>{sure}</Beside> : null}
      {also.map((sentence) => (
        <Beside key={sentence}>{sentence}</Beside>
      ))}
      {move ? <Button onPress={() => onMove(move.adjuster, move.mark)}>{say("signs.moveIt")}</Button> : null}
    </Card>
  );
}
