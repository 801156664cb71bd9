import type { Pose, Scene } from "../api/types";

/** A scene with what moves where a pose has it: no ghost, no numbers of another place. */
export function posed(scene: Scene, { parts }: Pose): Scene {
  const moved = new Map(parts.map((part) => [part.id, part.points]));
  return {
    ...scene,
    parts: scene.parts.map((part) => ({ ...part, points: moved.get(part.id) ?? part.points })),
    dimensions: [],
  };
}
