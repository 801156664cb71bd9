import styled from "styled-components";
import { colour } from "./tokens";

const Paper = styled.svg`
  width: 11rem;
  height: 11rem;
  background: ${colour.panel};
  color: ${colour.ink};
`;
/** Cells left free all round, without which no camera finds it. */
const FREE = 4;

/** A code to scan; rows: from the top, 1 is dark. */
export function CodeToScan({ rows, label }: { rows: readonly string[]; label: string }) {
  const side = rows.length + 2 * FREE;
  const dark = rows.flatMap((row, y) =>
    Array.from(row).flatMap((cell, x) => (cell === "1" ? [`M${x + FREE} ${y + FREE}h1v1h-1z`] : [])),
  );
  return (
    <Paper viewBox={`0 0 ${side} ${side}`} role="img" aria-label={label} shapeRendering="crispEdges">
      <path d={dark.join("")} fill="currentColor" />
    </Paper>
  );
}
