// What a movement asks, over how far the trunk or the body stands above level: the stretch that is gone through filled, where it now is, and
// how hard the tops of other benches are.
import { scaleLinear } from "d3-scale";
import styled from "styled-components";
import type { Curve, Pose } from "../api/types";
import { wholeText } from "../lib/lengths";
import { say } from "../lib/say";
import { colour, font } from "../ui/tokens";
import { Chart } from "./chart";
import { valueAt } from "./valueAt";

const Drawing = styled(Chart)`
  .number {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: 15px;
    fill: ${colour.ink};
    paint-order: stroke;
    stroke: ${colour.ground};
    stroke-width: 4px;
  }
  [data-own="true"] .number {
    font-size: 18px;
  }
`;
const WIDTH = 340;
const HEIGHT = 148;
const BASE = 108;
const TOP = 34;
/** Where the tops begin, and how wide one stands. */
const BARS = 196;
const BAR = 25;

type Props = { curve: Curve; pose: Pose | undefined };

export function EffortCurve({ curve, pose }: Props) {
  const { points, plain, range, tops } = curve;
  const angles = points.map(([deg]) => deg ?? 0);
  const most = Math.max(1, ...[...points, ...plain].map(([, nm]) => nm ?? 0), ...tops.map(({ nm }) => nm));
  const x = scaleLinear([Math.min(...angles), Math.max(...angles)], [10, tops.length > 0 ? BARS - 24 : WIDTH - 16]);
  const y = scaleLinear([0, most], [BASE, TOP]);
  const path = (list: Curve["points"]) => list.map(([deg = 0, nm = 0]) => `${x(deg)} ${y(nm)}`).join("L");
  const [low = 0, high = 0] = range;
  const inside = points.filter(([deg = 0]) => deg > low && deg < high);
  const at = (deg: number) => valueAt(points, deg);
  const area = [[low, at(low)], ...inside, [high, at(high)]];
  const words = tops.map(({ deg, nm }) => say("effortCurve.topOf", { deg, nm })).join(" ");
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={say("effortCurve.inWords", {
        title: curve.title,
        bottom: Math.round(at(low)),
        top: Math.round(at(high)),
        words,
      })}
      data-effort-curve
    >
      <path d={`M${x(low)} ${BASE}L${path(area)}L${x(high)} ${BASE}Z`} fill={colour.bodyFill} />
      {plain.length > 0 ? (
        <path d={`M${path(plain)}`} fill="none" stroke={colour.bodyGhost} strokeWidth="2" strokeDasharray="5 4" />
      ) : null}
      <path d={`M${path(points)}`} fill="none" stroke={colour.body} strokeWidth="3" />
      <path d={`M4 ${BASE}H${WIDTH - 4}`} stroke={colour.lineStrong} strokeWidth="1.5" />
      <Tops tops={tops} y={y} />
      {pose?.at_deg == null ? null : (
        <circle
          cx={x(pose.at_deg)}
          cy={y(pose.effort_nm ?? 0)}
          r="8"
          fill={colour.action}
          stroke={colour.panel}
          strokeWidth="3"
        />
      )}
      <text x="8" y="14">
        {curve.title}, {say("effortCurve.unit")}
        {curve.estimated ? `, ${say("effortCurve.massEstimated")}` : ""}
      </text>
      <text x={x(low)} y={BASE + 17} textAnchor="start">
        {say("effortCurve.turns")}
      </text>
      {plain.length > 0 ? (
        <text x="8" y={HEIGHT - 5}>
          - - {say("effortCurve.ownWeight")}
        </text>
      ) : null}
    </Drawing>
  );
}

/** The tops of some benches side by side, on the curve's own scale: body weight, and in the machine's grey what is added. */
function Tops({ tops, y }: { tops: Curve["tops"]; y: (nm: number) => number }) {
  const sorted = [...tops].sort((one, other) => one.deg - other.deg);
  const each = (WIDTH - BARS) / Math.max(sorted.length, 1);
  return (
    <>
      {sorted.map(({ deg, nm, plain_nm: plain, own }, index) => {
        const left = BARS + each * index + (each - BAR) / 2;
        const middle = left + BAR / 2;
        const body = Math.min(plain, nm);
        return (
          <g key={`${deg} ${own}`} data-top={deg} data-own={own}>
            <rect
              x={left}
              width={BAR}
              y={y(body)}
              height={BASE - y(body)}
              fill={own ? colour.body : colour.bodyGhost}
            />
            <rect x={left} width={BAR} y={y(nm)} height={y(body) - y(nm)} fill={colour.machine} />
            <text className="number" x={middle} y={y(nm) - 6} textAnchor="middle">
              {nm}
            </text>
            <text x={middle} y={BASE + 17} textAnchor="middle" style={own ? OWN : undefined}>
              {wholeText(deg, "deg")}
            </text>
          </g>
        );
      })}
      {sorted.length > 0 ? (
        <text x={WIDTH - 4} y={HEIGHT - 5} textAnchor="end">
          {say("effortCurve.topOnABenchOf")}
        </text>
      ) : null}
    </>
  );
}

const OWN = { fontWeight: 650, fill: colour.ink };
