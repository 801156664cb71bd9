// How one works at a machine, as cautions and limits have it: the set-up list's own sentences.
import { say } from "../../lib/say";

export function Allowed({ sentences }: { sentences: readonly string[] }) {
  if (sentences.length === 0) return null;
  return (
    <ul aria-label={say("walkRound.howMoves")} data-allowed>
      {sentences.map((sentence) => (
        <li key={sentence}>{sentence}</li>
      ))}
    </ul>
  );
}
