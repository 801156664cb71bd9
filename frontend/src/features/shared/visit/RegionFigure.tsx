// The legs from the front and from behind, to be touched where it was felt. The list beside it says the same in words.
import styled from "styled-components";
import type { Region } from "../../../api/types";
import { say } from "../../../lib/say";
import { colour, font } from "../../../ui/tokens";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  text {
    font-family: ${font.text};
    font-size: 13px;
    fill: ${colour.inkMuted};
  }
  [data-region] {
    cursor: pointer;
  }
`;

/** A leg of 60 by 240 from hip to foot, its middle at 0; mirrored for the other. */
const LEG =
  "M-26 0C-34 40 -28 84 -20 116C-26 138 -25 166 -16 204L-17 226C-24 238 -8 240 6 236L6 204C14 166 16 140 12 116C22 84 30 40 22 0";
const TRUNK = "M-52 1C-50 -28 -46 -48 -44 -62H44C46 -48 50 -28 52 1";

type Area = { name: string; view: "front" | "behind"; path?: string; dot?: readonly [number, number] };
/** Of the left leg of each view, in its own frame. */
const AREAS: readonly Area[] = [
  { name: "front_thigh", view: "front", path: "M-18 18C-25 50 -20 80 -13 100H8C14 76 18 46 14 18Z" },
  { name: "inner_thigh", view: "front", path: "M15 14C20 44 17 74 10 100L16 98C23 70 27 40 22 8Z" },
  { name: "outer_hip", view: "front", path: "M-26 2C-31 20 -30 40 -28 56L-19 50C-21 34 -20 18 -17 6Z" },
  { name: "hip", view: "front", dot: [2, 6] },
  { name: "knee", view: "front", dot: [-3, 116] },
  { name: "foot", view: "front", dot: [-7, 224] },
  { name: "low_back", view: "behind", path: "M26 -56H4C3 -48 2 -42 2 -34H26" },
  {
    name: "buttock",
    view: "behind",
    path: "M-24 -22C-30 0 -28 16 -24 24C-8 34 10 34 20 22C22 4 20 -14 16 -24C2 -32 -14 -30 -24 -22Z",
  },
  {
    name: "back_thigh",
    view: "behind",
    path: "M-24 32C-28 58 -22 84 -16 104H10C16 80 20 56 18 30C6 40 -12 40 -24 32Z",
  },
  { name: "calf", view: "behind", path: "M-19 124C-23 146 -21 166 -16 182H7C12 164 12 144 10 124Z" },
];

type Props = { regions: readonly Region[]; value: string | null; onChoose: (name: string) => void };

export function RegionFigure({ regions, value, onChoose }: Props) {
  return (
    <Drawing viewBox="0 -74 250 340" aria-hidden="true">
      {(["front", "behind"] as const).map((view, index) => (
        <g key={view} transform={`translate(${62 + index * 126} 0)`}>
          <path d={TRUNK} fill={colour.bodyFill} stroke={colour.body} strokeWidth="1.5" />
          {[-1, 1].map((side) => (
            <g key={side} transform={`translate(${side * 26} 0) scale(${-side} 1)`}>
              <path d={LEG} fill={colour.bodyFill} stroke={colour.body} strokeWidth="1.5" />
              {AREAS.filter((area) => area.view === view).map((area) => (
                <Shape
                  key={area.name}
                  area={area}
                  region={regions.find(({ name }) => name === area.name)}
                  chosen={value === area.name}
                  onChoose={onChoose}
                />
              ))}
            </g>
          ))}
          <text x="0" y="258" textAnchor="middle">
            {view === "front" ? say("regionFigure.front") : say("regionFigure.behind")}
          </text>
        </g>
      ))}
    </Drawing>
  );
}

type ShapeProps = { area: Area; region: Region | undefined; chosen: boolean; onChoose: (name: string) => void };

function Shape({ area, region, chosen, onChoose }: ShapeProps) {
  if (!region) return null;
  const fill = chosen
    ? region.meaning === "joint"
      ? colour.off
      : colour.action
    : region.meaning === "works"
      ? colour.inLineFill
      : colour.panel;
  const paint = {
    fill,
    stroke: region.meaning === "joint" ? colour.off : colour.machine,
    strokeWidth: 1.25,
    onClick: () => onChoose(area.name),
  };
  return area.dot ? (
    <g data-region={area.name} onClick={paint.onClick}>
      <circle cx={area.dot[0]} cy={area.dot[1]} r="17" fill="transparent" />
      <circle cx={area.dot[0]} cy={area.dot[1]} r="10" fill={fill} stroke={colour.off} strokeWidth="2.5" />
    </g>
  ) : (
    <path data-region={area.name} d={area.path} {...paint} />
  );
}
