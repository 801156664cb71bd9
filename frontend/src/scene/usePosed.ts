// A scene whose moving parts are moved by hand: at first as it is drawn.
import { useState } from "react";
import type { Scene } from "../api/types";
import { posed } from "./posed";

export function usePosed(scene: Scene) {
  const [moved, setAt] = useState<number | null>(null);
  const poses = scene.poses ?? [];
  const last = Math.max(poses.length - 1, 0);
  const drawn = Math.round((scene.drawn_share ?? 0) * last);
  const at = Math.min(moved ?? drawn, last);
  const pose = poses[at];
  return { poses, at, pose, shown: at === drawn || !pose ? scene : posed(scene, pose), setAt };
}
