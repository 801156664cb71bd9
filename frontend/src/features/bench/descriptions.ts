// The drawings in words, for a screen reader.
import type { Evaluation } from "../../api/types";

export function describeSide(evaluation: Evaluation): string {
  const says = evaluation.findings.map((finding) => finding.says).join(" ");
  return `Side view, to scale, at the start of the movement. ${says} ${evaluation.motion.creep}`;
}

export function describeLens(evaluation: Evaluation, name: string, places: Evaluation["lens"][string]): string {
  const list = places
    .map((place) => `${place.mark}: ${Math.abs(Math.round(place.s_mm))} mm ${place.s_mm < 0 ? "behind" : "ahead"}`)
    .join("; ");
  return `Where each mark of the ${name.toLowerCase()} puts the knee. In line within ${evaluation.joint.in_line_mm} mm. ${list}.`;
}
