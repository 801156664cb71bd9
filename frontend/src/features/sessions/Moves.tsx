// What has to be moved at a machine, from the marks that stand there.
import { Fragment } from "react";
import type { PlanMoves } from "../../api/types";
import { say } from "../../lib/say";
import { Small } from "../../ui/Page";

/** No move is broken over two lines. */
export function MoveList({ moves }: { moves: PlanMoves }) {
  if (moves === null) return say("moves.unknown");
  if (moves.length === 0) return say("moves.none");
  return moves.map(({ name, from, to }, index) => (
    <Fragment key={name}>
      {index > 0 ? ", " : ""}
      <span style={{ whiteSpace: "nowrap" }}>
        {name} {from} → {to}
      </span>
    </Fragment>
  ));
}

export const Moves = ({ moves }: { moves: PlanMoves }) => (
  <Small data-moves>
    <MoveList moves={moves} />
  </Small>
);
