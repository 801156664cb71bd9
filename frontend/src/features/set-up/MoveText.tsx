import { say } from "../../lib/say";
import type { MarkMove } from "../../api/types";

const COUNT = ["none", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"];

/** From the mark that stands there to the one that is wanted, as it is counted on the floor. */
export const moveText = ({ from, to, by }: MarkMove): string => {
  const steps = Math.abs(by);
  return `${from} → ${to}, ${COUNT[steps] ?? steps} ${by > 0 ? "up" : "down"}`;
};

export function MoveText({ move }: { move: MarkMove }) {
  return (
    <span data-move={move.label}>
      {say("moveText.standsAt")} {moveText(move)}
    </span>
  );
}
