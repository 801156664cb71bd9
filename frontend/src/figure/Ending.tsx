import type { Figure } from "../api/types";
import { colour } from "../ui/tokens";
import { add, arc, scale, towards, xy } from "./geometry";

/** Where the client turns back: a tick across the arc; what the arm could do beyond it is paler. */
export function Ending({ figure }: { figure: Figure }) {
  const reach = figure.machine.roller_reach ?? 0;
  const turn = figure.poses.end.arm_deg;
  const last = (figure.machine.end_angle ?? turn) * (figure.up === 1 ? 1 : -1);
  const along = towards(turn);
  const words = add(scale(along, reach), [figure.side === 1 ? 46 : -46, 0]);
  return (
    <g data-part="ending" stroke={colour.action}>
      {Math.abs(last - turn) > 1 ? (
        <path
          className="moving"
          d={arc(reach, turn, last)}
          fill="none"
          strokeWidth="3"
          strokeDasharray="1 14"
          strokeLinecap="round"
          strokeOpacity="0.35"
        />
      ) : null}
      <path
        className="moving"
        d={`M${xy(scale(along, reach - 30))}L${xy(scale(along, reach + 30))}`}
        strokeWidth="7"
        strokeLinecap="round"
        data-part="target"
      />
      {figure.ending ? (
        <text x={words[0]} y={-words[1] + 9} stroke="none" textAnchor={figure.side === 1 ? "start" : "end"}>
          {Math.round(figure.ending.bend_deg)}°
        </text>
      ) : null}
    </g>
  );
}
