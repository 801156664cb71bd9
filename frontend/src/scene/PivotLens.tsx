// The pivot, magnified, as a part of the side view: tolerance rings, where each mark of one adjuster would put the knee, and
// how unsure that is. Drawn in millimetres about its own centre; the side view places and enlarges it.
import { useId } from "react";
import styled from "styled-components";
import type { Target } from "../api/types";
import { colour, font } from "../ui/tokens";
import { ellipse } from "./geometry";

const Glass = styled.g`
  text {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    fill: ${colour.ink};
    paint-order: stroke;
    stroke: ${colour.panel};
    stroke-width: 3px;
    text-anchor: middle;
  }
  .side,
  .title {
    font-family: ${font.text};
    font-weight: ${font.regular};
    font-size: 10px;
    stroke-width: 0;
  }
  .side {
    fill: ${colour.inkMuted};
  }
  .title {
    font-weight: ${font.strong};
    font-size: 10.5px;
  }
`;

/** Half the width of what the lens shows, mm. */
export const REACH_MM = 62;
/** Nine in ten knees lie within so many SDs of a plane normal: sqrt(-2 ln 0.1). */
const SDS_90 = 2.146;

type Props = {
  target: Target;
  places: Target["places"][string];
  mark: string | undefined;
  /** how far ahead of the pivot the knee was seen by eye; null where nobody looked */
  seenOffMm: number | null;
  description: string;
  title: string;
};

export function PivotLens({ target, places, mark, seenOffMm, description, title }: Props) {
  const unsure = ellipse(target.sd_x_mm ** 2, target.sd_y_mm ** 2, target.covariance_mm2, SDS_90);
  const [behind, ahead] = target.sides;
  const glass = useId();
  const inside = places.filter((place) => Math.hypot(place.x_mm, place.y_mm) < REACH_MM + 14);
  return (
    <Glass role="img" aria-label={description} data-figure="lens">
      <text className="title" y={-REACH_MM - 8}>
        {title}
      </text>
      <defs>
        <clipPath id={glass}>
          <circle r={REACH_MM} />
        </clipPath>
      </defs>
      <circle r={REACH_MM + 1.5} fill={colour.panel} stroke={colour.ink} strokeWidth="1.6" />
      <g clipPath={`url(#${glass})`}>
        <circle r={target.close_mm} fill={colour.closeFill} stroke={colour.close} strokeDasharray="3 2.5" />
        <circle r={target.in_line_mm} fill={colour.inLineFill} stroke={colour.inLine} />
        <path d={`M${-REACH_MM} 0H${REACH_MM}M0 ${-REACH_MM}V${REACH_MM}`} stroke={colour.pivot} strokeWidth="0.7" />
        <ellipse
          rx={unsure.rx}
          ry={unsure.ry}
          transform={`translate(${target.x_mm} ${-target.y_mm}) rotate(${unsure.turnDeg})`}
          fill={colour.body}
          fillOpacity="0.16"
          stroke={colour.body}
          strokeOpacity="0.5"
          strokeWidth="0.8"
          data-part="unsure"
        />
        {places.length === 0 ? (
          <circle
            cx={target.x_mm}
            cy={-target.y_mm}
            r="5.4"
            fill={colour.body}
            stroke={colour.body}
            data-part="lens-knee"
          />
        ) : null}
        {seenOffMm === null ? null : (
          <path
            d={`M${seenOffMm - 9} 0a9 9 0 1 0 18 0a9 9 0 1 0 -18 0M${seenOffMm} -13v26`}
            fill="none"
            stroke={colour.action}
            strokeWidth="2.2"
            data-part="knee-seen"
          />
        )}
        {inside.map((place) => {
          const here = place.mark === mark;
          return (
            <g key={place.mark}>
              <circle
                cx={place.x_mm}
                cy={-place.y_mm}
                r={here ? 5.4 : 3.2}
                fill={here ? colour.body : colour.panel}
                stroke={colour.body}
                strokeWidth="1.6"
                data-mark={place.mark}
              />
              <text x={place.x_mm} y={-place.y_mm + 16} fontSize={here ? 12 : 9.5}>
                {place.mark}
              </text>
            </g>
          );
        })}
      </g>
      <text className="side" x={-REACH_MM - 26} y="3">
        {behind}
      </text>
      <text className="side" x={REACH_MM + 24} y="3">
        {ahead}
      </text>
    </Glass>
  );
}
