import type { Pose, Scene } from "../api/types";

const JOINT = "joint";

/** A scene with what moves where a pose has it: no ghost, no numbers of another place. */
export function posed(scene: Scene, { parts }: Pose): Scene {
  const moved = new Map(parts.map((part) => [part.id, part.points]));
  return {
    ...scene,
    parts: scene.parts
      .filter(({ id, role }) => role !== JOINT || moved.has(id))
      .map((part) => ({ ...part, points: moved.get(part.id) ?? part.points })),
    dimensions: [],
  };
}
