import type { Figure, Pose } from "../api/types";
import { colour } from "../ui/tokens";
import { ahead } from "./fitted";
import { add, at, norm, scale, sub, unit, xy } from "./geometry";

/** On the leg, on its free side: the stretch that the roller travels over the movement, the place that is wanted, and the one
 *  number that is graded, where the tape would lie: from the contact half-way to the ankle bone. */
export function OnTheLeg({ figure, gradedMm }: { figure: Figure; gradedMm: number | null }) {
  const { start, middle, end } = figure.poses;
  const [knee, ankle] = [at(start.knee), at(start.ankle)];
  const down = unit(sub(ankle, knee));
  const contactOf = (pose: Pose) => norm(sub(at(pose.contact), at(pose.knee)));
  const travelled = [start, middle, end].map(contactOf);
  const shank = norm(sub(ankle, knee));
  const graded = gradedMm === null ? contactOf(middle) : shank - gradedMm;
  const wanted = figure.machine.wanted_above_ankle;
  const outwards = ahead(figure, down);
  const beside = figure.side === 1 ? 2 * (figure.machine.roller_radius ?? 0) + 26 : 34;
  const clear = scale(outwards, (figure.body.calf_half ?? 0) + beside);
  const onLeg = (fromKnee: number) => add(knee, scale(down, fromKnee));
  const across = scale(outwards, figure.body.calf_half ?? 0);
  const place = (fromKnee: number) => add(onLeg(fromKnee), clear);
  const [from, to] = [place(graded), add(ankle, clear)];
  const tick = scale(outwards, 14);
  // Where the leg lies nearly level the label stands before it, clear of the foot and of the leg's slope.
  const label =
    figure.side === 1
      ? add(scale(add(from, to), 0.5), scale(outwards, 26))
      : add(add(from, scale(down, -16)), scale(outwards, 30));
  return (
    <g stroke={colour.ink} strokeWidth="3" data-part="above-ankle">
      <path
        className="moving"
        fill="none"
        stroke={colour.machine}
        strokeWidth="16"
        strokeOpacity="0.5"
        strokeLinecap="round"
        d={`M${xy(onLeg(Math.min(...travelled)))}L${xy(onLeg(Math.max(...travelled) + 0.1))}`}
        data-part="travelled"
      />
      {wanted === undefined ? null : (
        <path
          className="moving"
          stroke={colour.inLine}
          strokeWidth="6"
          d={`M${xy(sub(onLeg(shank - wanted), across))}L${xy(add(onLeg(shank - wanted), across))}`}
          data-part="wanted"
        />
      )}
      <path
        className="moving"
        fill="none"
        d={[
          `M${xy(sub(from, tick))}L${xy(add(from, tick))}`,
          `M${xy(from)}L${xy(to)}`,
          `M${xy(sub(to, tick))}L${xy(add(to, tick))}`,
        ].join("")}
      />
      <circle cx={ankle[0]} cy={-ankle[1]} r="7" fill={colour.panel} stroke={colour.body} strokeWidth="4" />
      <text x={label[0]} y={-label[1] + 8} stroke="none" textAnchor={figure.side === 1 ? "start" : "end"}>
        {Math.round(shank - graded)} mm
      </text>
    </g>
  );
}
