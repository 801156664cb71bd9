// A bench's frame has n pointing down; drawings are made in frames whose n points up.
import type { Figure, Place, Pose } from "../api/types";

/** The same figure with n up and arm angles that still grow from +s towards -n. */
export function upright(figure: Figure): Figure {
  if (figure.up === 1) return figure;
  const turned = ({ s, n }: Place): Place => ({ s, n: -n });
  const pose = (given: Pose): Pose => ({
    arm_deg: -given.arm_deg,
    shin_deg: -given.shin_deg,
    knee: turned(given.knee),
    ankle: turned(given.ankle),
    contact: turned(given.contact),
    roller: turned(given.roller),
  });
  const { start, middle, end } = figure.poses;
  return { ...figure, hip: turned(figure.hip), poses: { start: pose(start), middle: pose(middle), end: pose(end) } };
}
