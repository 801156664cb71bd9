// What has to be moved at a machine, from the marks that stand there.
import type { PlanMoves } from "../../api/types";
import { say } from "../../lib/say";
import { Small } from "../../ui/Page";

export const movesText = (moves: PlanMoves): string => {
  if (moves === null) return say("moves.unknown");
  if (moves.length === 0) return say("moves.none");
  return moves.map(({ name, from, to }) => `${name} ${from} → ${to}`).join(", ");
};

export const Moves = ({ moves }: { moves: PlanMoves }) => <Small data-moves>{movesText(moves)}</Small>;
