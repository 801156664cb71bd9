// A plate as one sees it standing before it: the heights at which the heels may stand, named at both ends, and both feet. A touch
// places the heels.
import styled from "styled-components";
import type { Plate } from "../api/types";
import { say } from "../lib/say";
import { colour, font } from "../ui/tokens";

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
  cursor: pointer;
  text {
    font-size: 36px;
    fill: ${colour.ink};
    /* Read over whatever is drawn behind it. */
    paint-order: stroke;
    stroke: ${colour.ground};
    stroke-width: 14px;
    stroke-linejoin: round;
  }
  text[data-quiet] {
    fill: ${colour.inkMuted};
  }
  text[data-number] {
    font-family: ${font.mark};
    font-weight: ${font.strong};
  }
  path,
  rect {
    vector-effect: non-scaling-stroke;
  }
`;
/** As it is drawn where nobody taped its width; the room for the names beside it and above and below (mm). */
const UNTAPED = 500;
const NAMES = 372;
const ROOM = 56;
/** Nearer to the lower edge than this, its name stands over the line (mm). */
const EDGE = 80;
/** Dashes of what nobody taped. */
const DASHES = "14 10";

type Props = { plate: Plate; onPlace?: (heelMm: number) => void };

export function PlateFront({ plate, onPlace }: Props) {
  const {
    length_mm: length,
    width_mm: width,
    foot_mm: foot,
    shoe_mm: shoe,
    heel_mm: heel,
    stance_mm: stance,
    turn_deg: turn,
    low_mm: low,
    high_mm: high,
    says,
  } = plate;
  const wide = width ?? UNTAPED;
  const y = (mm: number) => length - mm;
  const whole = Math.round(heel);
  const touched = (event: React.PointerEvent<SVGSVGElement>) => {
    if (!onPlace || (event.type === "pointermove" && event.buttons === 0)) return;
    const box = event.currentTarget.getScreenCTM()?.inverse();
    const at = box ? new DOMPoint(event.clientX, event.clientY).matrixTransform(box).y : y(heel);
    onPlace(Math.round(Math.min(Math.max(length - at - foot / 3, 0), length - foot)));
  };
  const named = (at: number, words: string, upper: boolean, over = upper) => (
    <g>
      <path d={`M-22 ${y(at)}H${wide}`} stroke={colour.inLine} strokeWidth="2" strokeDasharray="7 6" />
      <text x="-26" y={y(at) + (over ? -48 : 40)} textAnchor="end" data-quiet>
        {upper ? say("plateFront.aboveLimit") : say("plateFront.belowLimit")}
      </text>
      <text x="-26" y={y(at) + (over ? -10 : 78)} textAnchor="end" fontWeight="600">
        {words}
      </text>
    </g>
  );
  return (
    <Drawing
      viewBox={`${-NAMES} ${-ROOM} ${wide + NAMES + 14} ${length + 2 * ROOM}`}
      role="img"
      aria-label={say("plateFront.says", { mm: whole })}
      data-figure="plate"
      onPointerDown={touched}
      onPointerMove={touched}
    >
      <text x={wide} y="-18" textAnchor="end" fontWeight="600">
        {width === null ? say("plateFront.widthNotTaped") : say("plateFront.title")}
      </text>
      <rect
        width={wide}
        height={length}
        rx="12"
        fill={colour.panel}
        stroke={colour.machine}
        strokeWidth="3"
        strokeDasharray={width === null ? DASHES : undefined}
        data-part="face"
      />
      {low !== null && high !== null ? (
        <>
          <rect y={y(high)} width={wide} height={Math.max(high - low, 3)} fill={colour.inLineFill} data-part="window" />
          {named(high, says[1] ?? "", true)}
          {named(low, says[0] ?? "", false, low < EDGE)}
        </>
      ) : null}
      {[-1, 1].map((side) => (
        <g key={side} transform={`translate(${wide / 2 + (side * stance) / 2} ${y(heel)}) rotate(${side * turn})`}>
          <rect
            x={-shoe / 2}
            y={-foot}
            width={shoe}
            height={foot}
            rx={shoe / 2}
            fill={colour.bodyFill}
            fillOpacity="0.9"
            stroke={colour.body}
            strokeWidth="2.5"
          />
          <circle r="8" cy={-shoe / 2} fill={colour.body} />
        </g>
      ))}
      <text x={wide / 2} y={length + 42} textAnchor="middle" data-number>
        {say("plateFront.heelsUp", { mm: whole })}
      </text>
    </Drawing>
  );
}
