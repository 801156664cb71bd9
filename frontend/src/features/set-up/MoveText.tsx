import { say } from "../../lib/say";
import type { MarkMove } from "../../api/types";

const COUNT = say("moveText.numbers").split(" ");

/** From the mark that stands there to the one that is wanted, as it is counted on the floor. */
export const moveText = ({ from, to, by }: MarkMove): string => {
  const steps = Math.abs(by);
  const counted = { from, to, steps: COUNT[steps] ?? steps };
  return by > 0 ? say("moveText.up", counted) : say("moveText.down", counted);
};

export function MoveText({ move }: { move: MarkMove }) {
  return (
    <span data-move={move.label}>
      {say("moveText.standsAt")} {moveText(move)}
    </span>
  );
}
