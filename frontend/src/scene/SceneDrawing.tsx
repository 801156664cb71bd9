// A scene as the core says it: machine, body, movement, the numbers that stand in it and where the joint should lie, to scale.
import { type ReactNode, useId } from "react";
import styled from "styled-components";
import type { Scene } from "../api/types";
import { wholeText } from "../lib/lengths";
import { colour, font, motion } from "../ui/tokens";
import { add, at, line, norm, type Point, scale, sub, unit, xy } from "./geometry";
import { Parts } from "./parts";
import { REACH_MM } from "./PivotLens";

const Drawing = styled.svg<{ $text: number }>`
  display: block;
  width: 100%;
  height: 100%;
  .moving {
    transition: d ${motion} ease-out;
  }
  circle {
    transition:
      cx ${motion} ease-out,
      cy ${motion} ease-out;
  }
  > g > text {
    font-family: ${font.mark};
    word-spacing: -0.3em;
    font-weight: ${font.strong};
    font-size: ${({ $text }) => $text}px;
    fill: ${colour.ink};
    paint-order: stroke;
  }
`;
const TICK_MM = 14;
/** A scene that is high is drawn small, and its numbers larger. */
const TEXT = [
  { upTo: 1100, px: 27 },
  { upTo: 1400, px: 38 },
  { upTo: Infinity, px: 54 },
];
const textOf = (mm: number) => TEXT.find(({ upTo }) => mm <= upTo)?.px ?? 0;
const ORIGIN: Point = [0, 0];
const ORIGIN_XY = [0, 0];
const ASPECT = { left: "xMinYMax meet", middle: "xMidYMax meet", right: "xMaxYMax meet" };

type Props = {
  scene: Scene;
  /** the picture in words */
  description: string;
  /** the magnifier of the scene's first target */
  lens?: ReactNode;
  /** drawn over it */
  children?: ReactNode;
  /** the body hardly there: it is the machine that matters */
  quiet?: boolean;
  name?: string;
  /** where it stands, so that something else can hang beside it */
  side?: "left" | "middle" | "right";
};

export function SceneDrawing({
  scene,
  description,
  lens,
  children,
  quiet = false,
  name = "side",
  side = "middle",
}: Props) {
  const { window, floor, fade, parts } = scene;
  const gradient = useId();
  const faded = useId();
  const [from = ORIGIN, to = ORIGIN] = fade.map(at);
  const box = { x: window.left, y: -(window.bottom + window.height), width: window.width, height: window.height };
  const shown = quiet ? parts.filter(({ role, ghost }) => !ghost && !PLACED.includes(role)).map(faint) : parts;
  return (
    <Drawing
      $text={textOf(Math.max(window.height, window.width * 0.75))}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      role="img"
      aria-label={description}
      data-figure={name}
      preserveAspectRatio={ASPECT[side]}
    >
      <defs>
        <linearGradient id={gradient} x1={from[0]} y1={-from[1]} x2={to[0]} y2={-to[1]} gradientUnits="userSpaceOnUse">
          <stop offset="0" stopColor="white" stopOpacity="0" />
          <stop offset="1" stopColor="white" />
        </linearGradient>
        <mask id={faded} maskUnits="userSpaceOnUse" {...box}>
          <rect {...box} fill={`url(#${gradient})`} />
        </mask>
      </defs>
      {floor === null ? null : (
        <line x1="-3000" x2="3000" y1={-floor} y2={-floor} stroke={colour.line} strokeWidth="3" />
      )}
      <g data-quiet={quiet}>
        <Parts parts={shown} mask={`url(#${faded})`} />
      </g>
      {quiet ? null : <Numbers scene={scene} />}
      {quiet ? null : <Labels labels={scene.labels ?? []} />}
      {lens && scene.lens ? (
        <g data-part="lens-place">
          <Leader lens={scene.lens} from={at(scene.targets[0]?.at ?? ORIGIN_XY)} />
          <g transform={`translate(${scene.lens.x} ${-scene.lens.y}) scale(${scene.lens.scale})`}>{lens}</g>
        </g>
      ) : null}
      {scene.targets.map((target) => (
        <Target key={target.finding} target={target} quiet={quiet} />
      ))}
      {children}
    </Drawing>
  );
}

/** What belongs to a fitting and not to a machine. */
const PLACED = ["joint", "path", "beyond", "later", "target", "travelled", "wanted", "cushion"];
/** A body that only shows where a person would be. */
const faint = (part: Scene["parts"][number]) => (part.role === "body" ? { ...part, ghost: true } : part);

/** Each number where it is read, between its two ends. */
function Numbers({ scene }: { scene: Scene }) {
  return (
    <>
      {scene.dimensions.map(({ of, from, to, at: place, anchor, value, unit: measure }) => (
        <g key={of} data-part={`number-${of}`} stroke={colour.ink} strokeWidth="3" fill="none">
          <path className="moving" d={measured(at(from), at(to))} />
          <text
            x={at(place)[0]}
            y={-at(place)[1] + 9}
            stroke={colour.ground}
            strokeWidth="7"
            fill={colour.ink}
            textAnchor={anchor}
          >
            {wholeText(value, measure)}
          </text>
        </g>
      ))}
    </>
  );
}

/** Marks beside what they set; the one that is set larger. */
function Labels({ labels }: { labels: NonNullable<Scene["labels"]> }) {
  return (
    <g data-part="labels">
      {labels.map(({ of, text, at: place, set }) => (
        <text
          key={`${of} ${text}`}
          x={at(place)[0]}
          y={-at(place)[1] + (set ? 16 : 10)}
          textAnchor="middle"
          data-set={set}
          style={{
            fontSize: set ? 46 : 30,
            fontWeight: set ? font.strong : font.regular,
            fill: set ? colour.ink : colour.inkMuted,
          }}
        >
          {text}
        </text>
      ))}
    </g>
  );
}

/** A line with a tick at both ends; nothing where both are one place. */
function measured(from: Point, to: Point): string {
  const along = unit(sub(to, from));
  if (norm(sub(to, from)) < 1) return "";
  const tick = scale([-along[1], along[0]], TICK_MM);
  return [from, to].map((end) => line([sub(end, tick), add(end, tick)])).join("") + line([from, to]);
}

/** From the place aimed at to the lens that magnifies it. */
function Leader({ lens, from }: { lens: NonNullable<Scene["lens"]>; from: Point }) {
  const way = sub([lens.x, lens.y], from);
  const away = norm(way);
  const [start, end] = [52, away - REACH_MM * lens.scale - 6].map((mm) => add(from, scale(way, mm / away)));
  return start && end ? <path d={line([start, end])} stroke={colour.lineStrong} strokeWidth="2.5" /> : null;
}

/** The cross that most machines mark with a bolt head, the ring within which a joint is in line, and the joint. */
function Target({ target, quiet }: { target: Scene["targets"][number]; quiet: boolean }) {
  const { finding, at: place, joint, in_line_mm: ring } = target;
  const [jointX, jointY] = at(joint);
  return (
    <g data-part={`target-${finding}`}>
      <g transform={`translate(${xy(at(place))})`} data-part="pivot">
        <circle r={ring} fill={colour.panel} fillOpacity="0.75" stroke={colour.inLine} strokeWidth="3" />
        <path d="M-44 0H44M0 -44V44" stroke={colour.panel} strokeWidth="10" />
        <path d="M-44 0H-12M12 0H44M0 -44V-12M0 12V44" stroke={colour.pivot} strokeWidth="4.5" />
        <circle r="0.5" cx="0" cy="0" fill="none" data-part="pivot-centre" />
      </g>
      {quiet ? null : (
        <circle
          cx={jointX}
          cy={-jointY}
          r="9"
          fill={colour.body}
          stroke={colour.panel}
          strokeWidth="3"
          data-part="knee"
        />
      )}
    </g>
  );
}
