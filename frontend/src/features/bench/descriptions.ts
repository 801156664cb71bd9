// The drawings in words, for a screen reader.
import type { Evaluation, MachineOnBench } from "../../api/types";

export function describeSide(evaluation: Evaluation): string {
  const says = evaluation.findings.map((finding) => finding.says).join(" ");
  return `Side view, to scale, at the start of the movement. ${says} ${evaluation.motion?.ending ?? ""} ${evaluation.motion?.creep ?? ""}`.trim();
}

const sideOf = (s: number, up: number) => (up === 1 ? (s < 0 ? "behind" : "ahead") : s < 0 ? "short of it" : "past it");

export function describeLens(
  joint: NonNullable<Evaluation["joint"]>,
  machine: MachineOnBench,
  name: string | null,
  places: Evaluation["lens"][string],
): string {
  const inLine = `In line within ${joint.in_line_mm} mm.`;
  if (name === null)
    return `Where the knee lies from the pivot: ${Math.abs(Math.round(joint.s_mm))} mm ${sideOf(joint.s_mm, machine.up)}. ${inLine}`;
  const list = places
    .map((place) => `${place.mark}: ${Math.abs(Math.round(place.s_mm))} mm ${sideOf(place.s_mm, machine.up)}`)
    .join("; ");
  return `Where each mark of the ${name.toLowerCase()} puts the knee. ${inLine} ${list}.`;
}
