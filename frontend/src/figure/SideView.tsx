// The bench's side view: machine, body, pivot and movement, drawn to scale from the model's own points.
import { type ReactNode, useId } from "react";
import styled from "styled-components";
import type { Figure } from "../api/types";
import { colour, font, motion } from "../ui/tokens";
import { Ending } from "./Ending";
import { foot, lyingThigh, lyingTrunk, shin, thigh, trunk } from "./fitted";
import { frameOf } from "./frames";
import { arc, at, norm, scale, xy } from "./geometry";
import { Limbs } from "./Limbs";
import { OnTheLeg } from "./OnTheLeg";
import { LyingBench } from "./LyingBench";
import { REACH_MM } from "./PivotLens";
import { Seat, ThighPad } from "./Seat";
import { upright } from "./upright";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  .moving {
    transition: d ${motion} ease-out;
  }
  circle,
  line,
  rect {
    transition:
      cx ${motion} ease-out,
      cy ${motion} ease-out,
      x ${motion} ease-out,
      y ${motion} ease-out;
  }
  > g > text {
    font-family: ${font.mark};
    word-spacing: -0.3em;
    font-weight: ${font.strong};
    font-size: 27px;
    fill: ${colour.ink};
  }
`;

/** A kind of machine: what stands below the body, what lies on top of it, and the body's own shapes. */
const KINDS = {
  seated_knee: { Below: Seat, trunk, thigh },
  lying_knee: { Below: LyingBench, trunk: lyingTrunk, thigh: lyingThigh },
};

type Props = {
  figure: Figure;
  /** what was found: the contact's number is compared with what is drawn */
  findings: readonly { code: string; value?: number }[];
  inLineMm: number;
  description: string;
  lens?: ReactNode;
};

export function SideView({ figure: given, findings, inLineMm, description, lens }: Props) {
  const figure = upright(given);
  const frame = frameOf(figure);
  const chest = useId();
  const fade = useId();
  const mask = `url(#${fade})`;
  const { start, end } = figure.poses;
  const { Below } = KINDS[figure.kind];
  const graded = findings.find((finding) => finding.code === "contact")?.value ?? null;
  return (
    <Drawing
      viewBox={`${frame.left} ${frame.top} ${frame.width} ${frame.height}`}
      role="img"
      aria-label={description}
      data-figure="side"
      preserveAspectRatio="xMidYMax meet"
    >
      <defs>
        <linearGradient id={chest} {...frame.fade} gradientUnits="userSpaceOnUse">
          <stop offset="0" stopColor="white" stopOpacity="0" />
          <stop offset="1" stopColor="white" />
        </linearGradient>
        <mask
          id={fade}
          maskUnits="userSpaceOnUse"
          x={frame.left}
          y={frame.top}
          width={frame.width}
          height={frame.height}
        >
          <rect x={frame.left} y={frame.top} width={frame.width} height={frame.height} fill={`url(#${chest})`} />
        </mask>
      </defs>
      <line x1="-3000" x2="3000" y1={-frame.floorN} y2={-frame.floorN} stroke={colour.line} strokeWidth="3" />
      <Below figure={figure} floorN={frame.floorN} mask={mask} />
      <g fill="none" stroke={colour.bodyGhost} strokeWidth="3" data-part="ghost">
        <path className="moving" d={shin(figure, end)} />
        <path className="moving" d={foot(figure, end)} />
        <circle
          cx={end.roller.s}
          cy={-end.roller.n}
          r={figure.machine.roller_radius}
          stroke={colour.machineQuiet}
          strokeDasharray="9 7"
        />
      </g>
      <path
        className="moving"
        d={arc(figure.machine.roller_reach ?? 0, start.arm_deg, end.arm_deg)}
        fill="none"
        stroke={colour.action}
        strokeWidth="4"
        strokeDasharray="1 12"
        strokeLinecap="round"
        data-part="arc"
      />
      <Ending figure={figure} />
      <Body figure={figure} mask={mask} />
      <ThighPad figure={figure} />
      <Arm figure={figure} />
      <OnTheLeg figure={figure} gradedMm={graded} />
      {lens ? (
        <g data-part="lens-place">
          <Leader lens={frame.lens} />
          <g transform={`translate(${frame.lens.s} ${-frame.lens.n}) scale(${frame.lens.scale})`}>{lens}</g>
        </g>
      ) : null}
      <Pivot inLineMm={inLineMm} />
      <circle
        cx={start.knee.s}
        cy={-start.knee.n}
        r="9"
        fill={colour.body}
        stroke={colour.panel}
        strokeWidth="3"
        data-part="knee"
      />
    </Drawing>
  );
}

/** From the pivot to the lens that magnifies it. */
function Leader({ lens }: { lens: { s: number; n: number; scale: number } }) {
  const away = norm([lens.s, lens.n]);
  const from = scale([lens.s, lens.n], 52 / away);
  const to = scale([lens.s, lens.n], (away - REACH_MM * lens.scale - 6) / away);
  return <path d={`M${xy(from)}L${xy(to)}`} stroke={colour.lineStrong} strokeWidth="2.5" />;
}

function Body({ figure, mask }: { figure: Figure; mask: string }) {
  const { start } = figure.poses;
  const shapes = KINDS[figure.kind];
  return (
    <g data-part="body" opacity="0.94">
      <g mask={mask}>
        <path className="moving" d={shapes.trunk(figure)} fill={colour.bodyFill} stroke={colour.body} strokeWidth="4" />
      </g>
      <Limbs paths={[shapes.thigh(figure), shin(figure, start), foot(figure, start)]} width={7} />
      <circle cx={figure.hip.s} cy={-figure.hip.n} r="7" fill="none" stroke={colour.body} strokeWidth="4" />
    </g>
  );
}

/** The arm from the pivot and its roller, on top of the leg that it touches. */
function Arm({ figure }: { figure: Figure }) {
  const { roller } = figure.poses.start;
  return (
    <g stroke={colour.machine} data-part="arm">
      <path className="moving" d={`M0 0L${xy(at(roller))}`} strokeWidth="12" strokeLinecap="round" opacity="0.8" />
      <circle
        cx={roller.s}
        cy={-roller.n}
        r={figure.machine.roller_radius}
        fill={colour.machineFill}
        strokeWidth="4"
        data-part="roller"
      />
      <circle cx={roller.s} cy={-roller.n} r="6" fill={colour.machine} stroke="none" />
    </g>
  );
}

/** The cross that most machines mark with a bolt head, and the ring within which a knee is in line. */
function Pivot({ inLineMm }: { inLineMm: number }) {
  return (
    <g data-part="pivot">
      <circle
        r={inLineMm}
        cx="0"
        cy="0"
        fill={colour.panel}
        fillOpacity="0.75"
        stroke={colour.inLine}
        strokeWidth="3"
      />
      <g stroke={colour.panel} strokeWidth="10">
        <path d="M-44 0H44M0 -44V44" />
      </g>
      <g stroke={colour.pivot} strokeWidth="4.5">
        <path d="M-44 0H-12M12 0H44M0 -44V-12M0 12V44" />
      </g>
      <circle r="0.5" cx="0" cy="0" fill="none" data-part="pivot-centre" />
    </g>
  );
}
