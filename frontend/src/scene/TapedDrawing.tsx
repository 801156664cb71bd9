// Where the tape goes on a machine: its picture, dashed where nobody has taped it yet, and the length at hand over it.
import { say } from "../lib/say";
import type { Trial } from "../api/types";
import { colour } from "../ui/tokens";
import { add, arc, at, degreesOf, line, norm, type Point, scale, sub, unit } from "./geometry";
import { SceneDrawing } from "./SceneDrawing";

/** The length at hand: a constant's name, or the adjuster whose travel is taped. */
export type AtHand = { constant: string } | { travel: string };

type Props = { drawing: Trial["drawing"]; hand: AtHand; title: string };

export function TapedDrawing({ drawing: { scene, lengths, travels }, hand, title }: Props) {
  const points = (("constant" in hand ? lengths[hand.constant] : travels[hand.travel]) ?? []).map(at);
  return (
    <SceneDrawing scene={scene} description={say("tapedDrawing.name", { title })} quiet name="machine">
      <defs>
        <marker
          id="tip"
          viewBox="0 0 10 10"
          refX="8"
          refY="5"
          markerWidth="5"
          markerHeight="5"
          orient="auto-start-reverse"
        >
          <path d="M0 0L10 5L0 10z" fill={colour.action} />
        </marker>
      </defs>
      {points.length === 3 ? <Wedge points={points} /> : null}
      {points.length === 2 ? <Tape points={points} moves={"travel" in hand} /> : null}
    </SceneDrawing>
  );
}

const ORIGIN: Point = [0, 0];

/** Two ends; arrows where it is a way that something goes. */
function Tape({ points, moves }: { points: Point[]; moves: boolean }) {
  const tip = moves ? "url(#tip)" : undefined;
  return (
    <g stroke={colour.action} fill="none">
      <path d={line(points)} stroke={colour.panel} strokeWidth="20" />
      <path d={line(points)} strokeWidth="9" markerStart={tip} markerEnd={tip} data-part="tape" />
      {moves
        ? null
        : points.map(([x, y], index) => (
            <circle key={index} cx={x} cy={-y} r="13" fill={colour.action} stroke={colour.panel} strokeWidth="5" />
          ))}
    </g>
  );
}

/** An angle: from the line it counts from to the arm. */
function Wedge({ points }: { points: Point[] }) {
  const [vertex = ORIGIN, level = ORIGIN, arm = ORIGIN] = points;
  const reach = norm(sub(arm, vertex)) * 0.62;
  const end = (towards: Point) => add(vertex, scale(unit(sub(towards, vertex)), reach * 1.35));
  const from = degreesOf(sub(level, vertex));
  const turn = ((degreesOf(sub(arm, vertex)) - from + 540) % 360) - 180;
  return (
    <g stroke={colour.action} fill="none" strokeWidth="7" data-part="tape">
      <path d={line([vertex, end(level)])} strokeDasharray="14 10" />
      <path d={line([vertex, end(arm)])} />
      <path d={arc(vertex, reach, from, from + turn)} strokeWidth="9" />
    </g>
  );
}
