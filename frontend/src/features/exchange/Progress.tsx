// How far a file is on its way, and a way to let it go.
import type { Import } from "../../api/types";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { ProgressLine } from "../../ui/ProgressLine";

/** Share of the way: arriving is the first third, looking through the rest. */
const share = ({ state, arrived, bytes, checked, pieces }: Import) =>
  state === "arriving" ? (33 * arrived) / bytes : 33 + (67 * checked) / Math.max(pieces, 1);

export function Progress({ now, onStop }: { now: Import; onStop: () => void }) {
  const words =
    now.state === "arriving"
      ? say("exchange.arriving")
      : say("exchange.looking", { rows: now.rows, checked: Math.min(now.rows, now.checked * 1000) });
  return (
    <>
      <ProgressLine share={share(now)} words={words} />
      <SecondaryButton onPress={onStop}>{say("exchange.letGo")}</SecondaryButton>
    </>
  );
}
