import { say } from "../lib/say";
import { colour } from "./tokens";

/** Two strokes: a pane of ice and a lever. */
export function Logo({ width = 40 }: { width?: number }) {
  return (
    <svg width={width} viewBox="0 0 44 30" role="img" aria-label={say("logo.verglas")}>
      <path d="M4 4l11 22L26 4" fill="none" stroke={colour.railMark} strokeWidth="4" strokeLinejoin="bevel" />
      <path d="M28 26L40 4" stroke={colour.railActive} strokeWidth="3" />
      <circle cx="28" cy="26" r="3.2" fill={colour.railActive} />
    </svg>
  );
}
