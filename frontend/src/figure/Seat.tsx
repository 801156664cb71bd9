// A seated knee machine: seat, back pad, cushions, thigh pad and the frame they stand on. Upright figure, one unit a millimetre.
import type { Figure } from "../api/types";
import { colour } from "../ui/tokens";
import { UPWARDS } from "./fitted";
import { add, type Point, scale, slab, xy } from "./geometry";

export const PAD_THICKNESS = 62;
const THIGH_PAD = { length: 150, height: 54 };

export function Seat({ figure, floorN, mask }: { figure: Figure; floorN: number; mask: string }) {
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
        <path d={`M${xy([edge - 40, seatN - 50])}L${xy([edge - 40, floorN + 8])}`} />
        <path d={`M${xy([rear + 150, seatN - 50])}L${xy([rear + 150, floorN + 8])}`} />
        <path d={`M${xy([rear + 60, floorN + 8])}L${xy([edge + 140, floorN + 8])}`} />
        <path d={`M${xy([edge - 40, seatN - 90])}L${xy([0, seatN - 90])}L${xy([0, 0])}`} strokeWidth="11" />
      </g>
      <g mask={mask}>
        <path className="moving" d={slab(head, foot, -PAD_THICKNESS)} />
        {cushionBack > 0 ? (
          <path className="moving" d={slab(add(foot, scale(UPWARDS, 380)), foot, cushionBack)} fill={colour.cushion} />
        ) : null}
      </g>
      <rect x={rear} y={-seatN} width={edge - rear} height={PAD_THICKNESS} rx="14" data-part="seat" data-edge={edge} />
      {cushionSeat > 0 ? (
        <rect x={face} y={-seatN - cushionSeat} width={edge - face} height={cushionSeat} rx="6" fill={colour.cushion} />
      ) : null}
    </g>
  );
}

/** The pad that holds the thigh from above: drawn on top of it, its underside and its edge nearest the knee as taped. */
export function ThighPad({ figure }: { figure: Figure }) {
  const { thigh_pad_front: front, thigh_pad_height: height, pivot_above_seat: pivot } = figure.machine;
  if (front === undefined || height === undefined) return null;
  const under = height - (pivot ?? 0);
  return (
    <g stroke={colour.machine} strokeWidth="4" data-part="thigh-pad" data-front={front} data-under={under}>
      <path
        className="moving"
        d={`M${xy([front - THIGH_PAD.length / 2, under + THIGH_PAD.height])}L${xy([front - THIGH_PAD.length / 2, under + THIGH_PAD.height + 46])}`}
        strokeWidth="13"
        strokeLinecap="round"
      />
      <rect
        x={front - THIGH_PAD.length}
        y={-under - THIGH_PAD.height}
        width={THIGH_PAD.length}
        height={THIGH_PAD.height}
        rx="20"
        fill={colour.machineFill}
      />
    </g>
  );
}
