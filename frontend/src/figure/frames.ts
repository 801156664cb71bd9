// What is in the picture of each kind of machine, mm of its upright frame: the window, the floor, where the lens hangs, and
// where the body fades out.
import type { Figure } from "../api/types";

export type Frame = {
  left: number;
  top: number;
  width: number;
  height: number;
  floorN: number;
  lens: { s: number; n: number; scale: number };
  /** fades out from one edge to the other: up a seated trunk, along a lying one */
  fade: { x1: number; y1: number; x2: number; y2: number };
};

/** How far to the right the straight leg may reach, by the body alone, so that the scale stays while marks are stepped. */
const straightLeg = (figure: Figure) => Math.max(570, (figure.body.shank ?? 0) + 0.4 * (figure.body.foot ?? 0) + 70);

const lens = (s: number, n: number, scale = 2.45) => ({ s, n, scale });

function seated(figure: Figure): Frame {
  const left = -690;
  return {
    left,
    top: -440,
    width: straightLeg(figure) - left,
    height: 1062,
    floorN: -600,
    // Above the knee, clear of the ghost leg; further ahead where a thigh pad stands there.
    lens: figure.side === 1 ? lens(40, 238) : lens(196, 250),
    fade: { x1: 0, y1: -300, x2: 0, y2: -80 },
  };
}

function lying(figure: Figure): Frame {
  const left = -880;
  return {
    left,
    top: -Math.max(600, (figure.body.shank ?? 0) + 150),
    width: straightLeg(figure) - left,
    height: Math.max(600, (figure.body.shank ?? 0) + 150) + 470,
    floorN: -450,
    lens: lens(240, -304, 2.2),
    fade: { x1: left + 10, y1: 0, x2: left + 260, y2: 0 },
  };
}

const FRAMES = { seated_knee: seated, lying_knee: lying };
export const frameOf = (figure: Figure): Frame => FRAMES[figure.kind](figure);
