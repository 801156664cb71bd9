// What was lifted, visit by visit: a line that breaks where loads stop comparing, a mark for how each went, a bar for how far.
import { scaleLinear, scalePoint } from "d3-scale";
import styled from "styled-components";
import type { Load, Visited } from "../api/types";
import { dayText } from "../lib/dates";
import { say } from "../lib/say";
import { colour, font } from "../ui/tokens";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  text {
    font-family: ${font.text};
    font-size: 13px;
    fill: ${colour.inkMuted};
  }
  .load {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    fill: ${colour.ink};
    paint-order: stroke;
    stroke: ${colour.panel};
    stroke-width: 4px;
  }
  .change {
    fill: ${colour.closeInk};
  }
`;
const LEFT = 16;
const SIDE = { narrow: 96, wide: 180 };

/** How each visit went, as colour and shape: full, half, ring with a bar. */
const MARK: Record<Visited["outcome"], "full" | "half" | "ring"> = {
  easy: "full",
  clean: "full",
  unsaid: "half",
  not_reached: "half",
  short: "ring",
  sign: "ring",
  joint: "ring",
};

type Props = {
  visits: readonly Visited[];
  today: Load | null;
  /** the load is the next visit's, not the one at hand */
  next?: boolean;
  locale: string;
  width: number;
  height: number;
  /** a bar under each for how far it went */
  ranges?: boolean;
  /** when a caution was written, cleared or taken out */
  cautions?: readonly { at: string | null; says: string }[];
};

/** Which visit is the first one after a moment: as many as there are where none is. */
export const firstAfter = (visits: readonly { at: string | null }[], moment: string): number => {
  const index = visits.findIndex(({ at }) => at !== null && Date.parse(at) >= Date.parse(moment));
  return index < 0 ? visits.length : index;
};

export function VisitLine({
  visits,
  today,
  next = false,
  locale,
  width,
  height,
  ranges = false,
  cautions = [],
}: Props) {
  const loads = [...visits.map(({ load }) => load?.kg), today?.kg].filter((kg) => kg !== undefined);
  const [least, most] = [Math.min(...loads, Infinity), Math.max(...loads, -Infinity)];
  const names = [...visits.map((_, index) => String(index)), ...(today ? ["today"] : [])];
  const side = width > 700 ? SIDE.wide : SIDE.narrow;
  const x = scalePoint(names, [LEFT + 20, width - side / 2]);
  const base = height - (ranges ? 84 : 26);
  const y = scaleLinear(most > least ? [least, most] : [least - 1, most + 1], [base - 14, 34]);
  const at = (index: number) => [x(String(index)) ?? 0, y(visits[index]?.load?.kg ?? least)] as const;
  const told = visits.some(({ load }) => load !== null);
  return (
    <Drawing
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={inWords(visits, today, cautions)}
      data-visit-line
    >
      {cautions.map(({ at: moment, says }) => {
        const index = moment === null ? visits.length : firstAfter(visits, moment);
        const left = index < visits.length ? at(index)[0] - 20 : at(visits.length - 1)[0] + 20;
        return <Caution key={`${moment} ${says}`} says={says} left={left} base={base} room={width - left} />;
      })}
      {told
        ? runs(visits).map((run) => (
            <path
              key={run[0]}
              d={`M${run.map((index) => at(index).join(" ")).join("L")}`}
              fill="none"
              stroke={colour.machine}
              strokeWidth="3"
            />
          ))
        : null}
      {visits.map((visit, index) => {
        const [left, top] = at(index);
        const apart = visit.load?.kg !== visits[index - 1]?.load?.kg || index === 0;
        return (
          <g key={visit.at} data-outcome={visit.outcome}>
            {visit.changes.length > 0 ? <Change visit={visit} left={left} base={base} room={width - left} /> : null}
            <Mark kind={MARK[visit.outcome]} left={left} top={top} />
            {apart && visit.load ? (
              <text className="load" x={left} y={top - 12} textAnchor="middle">
                {visit.load.text}
              </text>
            ) : null}
            {ranges && visit.reached !== null ? <Reached share={visit.reached} left={left} top={height - 22} /> : null}
          </g>
        );
      })}
      {today ? (
        <g data-today>
          <circle cx={x("today")} cy={y(today.kg)} r="8" fill={colour.panel} stroke={colour.action} strokeWidth="3" />
          <text className="load" x={x("today")} y={y(today.kg) - 14} textAnchor="middle">
            {today.text}
          </text>
        </g>
      ) : null}
      <path d={`M${LEFT} ${base}H${width - 4}`} stroke={colour.line} strokeWidth="1.5" />
      <text x={LEFT} y={base + 18}>
        {dayText(visits[0]?.at ?? null, locale)}
      </text>
      {today ? (
        <text x={x("today")} y={base + 18} textAnchor="middle">
          {next ? say("visitLine.nextTime") : say("visitLine.today")}
        </text>
      ) : null}
      {ranges ? (
        <text x={LEFT} y={height - 2}>
          {say("visitLine.howFar")}
        </text>
      ) : null}
    </Drawing>
  );
}

/** Indices that may be joined: the line breaks where loads stop comparing, and where nothing was loaded. */
export function runs(visits: readonly Visited[]): number[][] {
  const all: number[][] = [];
  visits.forEach((visit, index) => {
    if (visit.load === null) return;
    const open = all.at(-1);
    if (open && !visit.broken && open.at(-1) === index - 1) open.push(index);
    else all.push([index]);
  });
  return all;
}

const inWords = (visits: readonly Visited[], today: Load | null, cautions: NonNullable<Props["cautions"]>) =>
  [
    ...visits.map((visit) => [visit.load?.text ?? "", ...visit.changes].filter(Boolean).join(", ")),
    ...(today ? [say("visitLine.todayText", { load: today.text })] : []),
    ...cautions.map(({ says }) => says),
  ].join("; ");

function Mark({ kind, left, top }: { kind: "full" | "half" | "ring"; left: number; top: number }) {
  if (kind === "full") return <circle cx={left} cy={top} r="7" fill={colour.inLine} />;
  if (kind === "half")
    return (
      <g>
        <circle cx={left} cy={top} r="6" fill={colour.panel} stroke={colour.close} strokeWidth="2" />
        <path d={`M${left} ${top - 7}a7 7 0 0 0 0 14z`} fill={colour.close} />
      </g>
    );
  return (
    <g>
      <circle cx={left} cy={top} r="6.5" fill={colour.panel} stroke={colour.off} strokeWidth="2.5" />
      <path d={`M${left - 4} ${top}h8`} stroke={colour.off} strokeWidth="2.5" />
    </g>
  );
}

function Change({ visit, left, base, room }: { visit: Visited; left: number; base: number; room: number }) {
  const at = left - 12;
  const close = room < 200;
  return (
    <g data-change>
      <path d={`M${at} 16V${base}`} stroke={colour.close} strokeWidth="1.5" strokeDasharray="4 4" />
      <text className="change" x={close ? at - 6 : at + 6} y="14" textAnchor={close ? "end" : "start"}>
        {visit.changes[0]}
      </text>
    </g>
  );
}

/** A line through everything from a caution on, its words above those of what moved. */
function Caution({ says, left, base, room }: { says: string; left: number; base: number; room: number }) {
  const close = room < 260;
  return (
    <g data-caution>
      <path d={`M${left} 20V${base}`} stroke={colour.off} strokeWidth="2" />
      <text className="change" x={close ? left - 6 : left + 6} y="30" textAnchor={close ? "end" : "start"}>
        {says}
      </text>
    </g>
  );
}

const BAR = 26;
function Reached({ share, left, top }: { share: number; left: number; top: number }) {
  const whole = share >= 0.9;
  return (
    <g data-reached={share}>
      <rect x={left - 4} y={top - BAR} width="8" height={BAR} fill={colour.line} />
      <rect
        x={left - 4}
        y={top - BAR * Math.min(share, 1)}
        width="8"
        height={BAR * Math.min(share, 1)}
        fill={whole ? colour.inLine : colour.off}
      />
    </g>
  );
}
