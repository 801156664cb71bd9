// The bench of a lying leg curl: its leg part ends before the pivot, its trunk part falls away from a hinge; a pad under the
// hips of a flat one. Upright figure, one unit a millimetre.
import type { Figure } from "../api/types";
import { colour } from "../ui/tokens";
import { hingeDeg } from "./fitted";
import { add, at, type Point, scale, slab, xy } from "./geometry";

const PAD_THICKNESS = 66;

export function LyingBench({ figure, floorN, mask }: { figure: Figure; floorN: number; mask: string }) {
  const { machine } = figure;
  const surface = -(machine.pivot_above_bench ?? 0);
  const end = machine.bench_end ?? 0;
  const hinge: Point = [at(figure.hip)[0] - 10, surface];
  const fall = (hingeDeg(figure) * Math.PI) / 180;
  const head = add(hinge, scale([-Math.cos(fall), -Math.sin(fall)], 640));
  const pad = machine.hip_pad ?? 0;
  return (
    <g data-part="machine" stroke={colour.machine} strokeWidth="4" strokeLinejoin="round" fill={colour.machineFill}>
      <g strokeWidth="13" strokeLinecap="round" fill="none">
        <path d={`M${xy([end - 70, surface - 40])}L${xy([end - 70, floorN + 8])}`} />
        <path d={`M${xy([hinge[0] - 60, surface - 40])}L${xy([hinge[0] - 60, floorN + 8])}`} />
        <path d={`M${xy([hinge[0] - 150, floorN + 8])}L${xy([end + 90, floorN + 8])}`} />
        <path d={`M${xy([end - 70, surface - 96])}L${xy([0, surface - 96])}L${xy([0, 0])}`} strokeWidth="11" />
      </g>
      <g mask={mask}>
        <path d={slab(head, hinge, PAD_THICKNESS)} />
      </g>
      <rect
        x={hinge[0]}
        y={-surface}
        width={end - hinge[0]}
        height={PAD_THICKNESS}
        rx="14"
        data-part="bench"
        data-end={end}
      />
      {pad > 0 ? (
        <rect
          x={hinge[0] - 70}
          y={-surface - pad}
          width="170"
          height={pad}
          rx="14"
          fill={colour.cushion}
          data-part="hip-pad"
        />
      ) : null}
    </g>
  );
}
