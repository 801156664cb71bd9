// A scene's parts: one shape a kind, one look a role. Nothing is computed here but the paths.
import type { ScenePart } from "../api/types";
import { colour } from "../ui/tokens";
import { arc, at, limb, line, outline, type Point } from "./geometry";
import { Limbs } from "./Limbs";

const CORNER_MM = 14;
const ORIGIN: Point = [0, 0];

type Look = {
  stroke?: string;
  fill?: string;
  strokeWidth?: number;
  strokeDasharray?: string;
  strokeOpacity?: number;
  opacity?: number;
};

const solid: Look = { stroke: colour.machine, fill: colour.machineFill, strokeWidth: 4 };

/** By role; a line's width comes with it. */
const LOOKS: Record<string, Look> = {
  frame: { stroke: colour.machine },
  machine: solid,
  pad: solid,
  roller: solid,
  block: solid,
  weight: { stroke: colour.machine, fill: colour.machineQuiet, strokeWidth: 4 },
  arm: { stroke: colour.machine, opacity: 0.8 },
  cushion: { ...solid, fill: colour.cushion },
  body: { stroke: colour.body, fill: colour.bodyFill, strokeWidth: 4 },
  joint: { stroke: colour.body, fill: colour.panel, strokeWidth: 4 },
  path: { stroke: colour.action, strokeWidth: 4, strokeDasharray: "1 12" },
  beyond: { stroke: colour.action, strokeWidth: 3, strokeDasharray: "1 14", strokeOpacity: 0.35 },
  later: { stroke: colour.action, strokeWidth: 4, strokeDasharray: "3 9", strokeOpacity: 0.6 },
  target: { stroke: colour.action },
  slow: { stroke: colour.action, strokeWidth: 9, strokeOpacity: 0.75 },
  travelled: { stroke: colour.machine, strokeOpacity: 0.5 },
  wanted: { stroke: colour.inLine },
};

const ghostOf = (role: string): Look =>
  role === "body"
    ? { stroke: colour.bodyGhost, fill: "none", strokeWidth: 3 }
    : { stroke: colour.machineQuiet, fill: "none", strokeWidth: 3, strokeDasharray: "9 7" };

export function pathOf({ shape, points, radii, degrees }: ScenePart): string {
  const places = points.map(at);
  const [first = ORIGIN] = places;
  const [radius = 0] = radii;
  const [from = 0, to = 0] = degrees;
  switch (shape) {
    case "capsule":
      return limb(places, radii);
    case "circle":
      return limb([first, [first[0], first[1] + 0.1]], [radius, radius]);
    case "arc":
      return arc(first, radius, from, to);
    case "line":
      return line(places);
    case "slab":
      return outline(places, CORNER_MM);
  }
}

const isLine = ({ shape }: ScenePart) => shape === "line" || shape === "arc";

export function Part({ part }: { part: ScenePart }) {
  const look = part.ghost ? ghostOf(part.role) : (LOOKS[part.role] ?? solid);
  const moving = part.moves ? "moving" : undefined;
  const open = isLine(part) ? { fill: "none", strokeLinecap: "round" as const } : {};
  const wide = part.shape === "line" ? { strokeWidth: part.radii[0] } : {};
  const dashes = part.guess ? { strokeDasharray: "9 8" } : {};
  if (part.shape === "circle") {
    const [x = 0, y = 0] = part.points[0] ?? [];
    return (
      <g data-part={part.id}>
        <circle {...look} {...dashes} cx={x} cy={-y} r={part.radii[0]} />
        {part.role === "roller" && !part.ghost ? <circle cx={x} cy={-y} r="6" fill={colour.machine} /> : null}
      </g>
    );
  }
  return (
    <path
      {...look}
      {...open}
      {...wide}
      {...dashes}
      strokeLinejoin="round"
      className={moving}
      d={pathOf(part)}
      data-part={part.id}
    />
  );
}

const isLimb = (part: ScenePart) => part.role === "body" && part.shape === "capsule" && !part.ghost && !part.faded;

/** Parts in their order; limbs that follow one another have one outline. */
export function Parts({ parts, mask }: { parts: readonly ScenePart[]; mask: string }) {
  const groups: ScenePart[][] = [];
  for (const part of parts) {
    const last = groups.at(-1);
    if (last?.[0] && isLimb(part) && isLimb(last[0])) last.push(part);
    else groups.push([part]);
  }
  return (
    <>
      {groups.map(([first, ...others]) =>
        first === undefined ? null : isLimb(first) ? (
          <g key={first.id} data-part={first.id}>
            <Limbs paths={[first, ...others].map(pathOf)} width={7} />
          </g>
        ) : (
          <g key={first.id} mask={first.faded ? mask : undefined}>
            <Part part={first} />
          </g>
        ),
      )}
    </>
  );
}
