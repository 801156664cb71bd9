// The bench's side view: machine, body, pivot and movement, drawn to scale from the model's own points.
import type { ReactNode } from "react";
import styled from "styled-components";
import type { Figure, Finding } from "../api/types";
import { colour, font, motion } from "../ui/tokens";
import { add, arc, at, front, norm, type Point, scale, slab, sub, unit, xy } from "./geometry";
import { REACH_MM } from "./PivotLens";
import { Limbs } from "./Limbs";
import { foot, shin, thigh, trunk, UPWARDS } from "./fitted";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  .moving {
    transition: d ${motion} ease-out;
  }
  circle,
  line {
    transition:
      cx ${motion} ease-out,
      cy ${motion} ease-out;
  }
  > g > text {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: 27px;
    fill: ${colour.ink};
  }
`;

/** What is in the picture, mm: from behind the hip to beyond the ghost's foot, from above the lens to the floor. */
const FRAME = { left: -690, top: -440, height: 1062 };
/** Where the lens hangs: above the knee, clear of the thigh and of the ghost. */
const LENS = { s: 40, n: 238, scale: 2.45 };
/** The chest fades out between these heights. */
const FADE = { from: 300, to: 80 };
const FLOOR_N = -600;
const PAD_THICKNESS = 62;

/** How far to the right the straight leg may reach, by the body alone, so that the scale stays while marks are stepped. */
const ghostEnd = (figure: Figure) => Math.max(570, (figure.body.shank ?? 0) + 0.4 * (figure.body.foot ?? 0) + 70);

type Props = { figure: Figure; findings: Finding[]; inLineMm: number; description: string; lens?: ReactNode };

export function SideView({ figure, findings, inLineMm, description, lens }: Props) {
  const { start, end } = figure.poses;
  const width = ghostEnd(figure) - FRAME.left;
  const contact = findings.find((finding) => finding.code === "contact");
  return (
    <Drawing
      viewBox={`${FRAME.left} ${FRAME.top} ${width} ${FRAME.height}`}
      role="img"
      aria-label={description}
      data-figure="side"
      preserveAspectRatio="xMidYMax meet"
    >
      <defs>
        <linearGradient id="chest" x1="0" y1={-FADE.from} x2="0" y2={-FADE.to} gradientUnits="userSpaceOnUse">
          <stop offset="0" stopColor="white" stopOpacity="0" />
          <stop offset="1" stopColor="white" />
        </linearGradient>
        <mask id="fade" maskUnits="userSpaceOnUse" x={FRAME.left} y={FRAME.top} width={width} height={FRAME.height}>
          <rect x={FRAME.left} y={FRAME.top} width={width} height={FRAME.height} fill="url(#chest)" />
        </mask>
      </defs>
      <line x1="-3000" x2="3000" y1={-FLOOR_N} y2={-FLOOR_N} stroke={colour.line} strokeWidth="3" />
      <Machine figure={figure} />
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
      <Body figure={figure} />
      <Arm figure={figure} />
      <AboveAnkle figure={figure} middleMm={contact?.value ?? 0} />
      {lens ? (
        <g data-part="lens-place">
          <path
            d={`M0 -52L${LENS.s * 0.45} ${-LENS.n + REACH_MM * LENS.scale + 6}`}
            stroke={colour.lineStrong}
            strokeWidth="2.5"
          />
          <g transform={`translate(${LENS.s} ${-LENS.n}) scale(${LENS.scale})`}>{lens}</g>
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

/** Seat, back pad, cushions and the frame they stand on. */
function Machine({ figure }: { figure: Figure }) {
  const { machine } = figure;
  const seatN = -(machine.pivot_above_seat ?? 0);
  const edge = machine.seat_edge ?? 0;
  const face = machine.back_face ?? 0;
  const rear = face - 30;
  const foot: Point = [face, seatN + 26];
  const head = add(foot, scale(UPWARDS, 640));
  const cushionBack = machine.cushion_back ?? 0;
  const cushionSeat = machine.cushion_seat ?? 0;
  return (
    <g data-part="machine" stroke={colour.machine} strokeWidth="4" strokeLinejoin="round" fill={colour.machineFill}>
      <g strokeWidth="13" strokeLinecap="round" fill="none">
        <path d={`M${xy([edge - 40, seatN - 50])}L${xy([edge - 40, FLOOR_N + 8])}`} />
        <path d={`M${xy([rear + 150, seatN - 50])}L${xy([rear + 150, FLOOR_N + 8])}`} />
        <path d={`M${xy([rear + 60, FLOOR_N + 8])}L${xy([edge + 140, FLOOR_N + 8])}`} />
        <path d={`M${xy([edge - 40, seatN - 90])}L${xy([0, seatN - 90])}L${xy([0, 0])}`} strokeWidth="11" />
      </g>
      <g mask="url(#fade)">
        <path className="moving" d={slab(head, foot, -PAD_THICKNESS)} />
      </g>
      <rect x={rear} y={-seatN} width={edge - rear} height={PAD_THICKNESS} rx="14" data-part="seat" data-edge={edge} />
      {cushionBack > 0 ? <path d={slab(add(foot, [cushionBack, 0]), foot, 1)} /> : null}
      {cushionSeat > 0 ? (
        <rect x={rear} y={-seatN - cushionSeat} width={edge - rear} height={cushionSeat} rx="6" />
      ) : null}
    </g>
  );
}

function Body({ figure }: { figure: Figure }) {
  const { start } = figure.poses;
  return (
    <g data-part="body" opacity="0.94">
      <g mask="url(#fade)">
        <path className="moving" d={trunk(figure)} fill={colour.bodyFill} stroke={colour.body} strokeWidth="4" />
      </g>
      <Limbs paths={[thigh(figure), shin(figure, start), foot(figure, start)]} width={7} />
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

/** A dimension where the tape would lie: from the roller's contact to the ankle bone, in this pose; it says so where the
 *  middle of the arc, which is graded, differs. */
function AboveAnkle({ figure, middleMm }: { figure: Figure; middleMm: number }) {
  const { start } = figure.poses;
  const [knee, ankle, contact] = [at(start.knee), at(start.ankle), at(start.contact)];
  const shownMm = Math.round(norm(sub(ankle, contact)));
  const ahead = front(unit(sub(ankle, knee)));
  const clear = scale(ahead, (figure.body.calf_half ?? 0) + 2 * (figure.machine.roller_radius ?? 0) + 26);
  const [from, to] = [add(contact, clear), add(ankle, clear)];
  const tick = scale(ahead, 14);
  const label = add(scale(add(from, to), 0.5), scale(ahead, 26));
  return (
    <g stroke={colour.ink} strokeWidth="3" data-part="above-ankle">
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
      <text x={label[0]} y={-label[1] + 8} stroke="none">
        {shownMm} mm{shownMm === Math.round(middleMm) ? "" : " at start"}
      </text>
    </g>
  );
}
