// How far a file is on its way, and a way to let it go.
import { ProgressBar } from "react-aria-components";
import styled from "styled-components";
import type { Import } from "../../api/types";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { colour, radius, space } from "../../ui/tokens";

const Bar = styled(ProgressBar)`
  display: grid;
  gap: ${space(2)};
  max-width: 32rem;
  margin-bottom: ${space(4)};
`;
const Track = styled.div`
  height: 12px;
  border-radius: ${radius};
  background: ${colour.line};
  overflow: hidden;
  > div {
    height: 100%;
    background: ${colour.action};
  }
`;

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
      <Bar value={share(now)} aria-label={words}>
        {({ percentage }) => (
          <>
            <span>{words}</span>
            <Track>
              <div style={{ width: `${percentage ?? 0}%` }} />
            </Track>
          </>
        )}
      </Bar>
      <SecondaryButton onPress={onStop}>{say("exchange.letGo")}</SecondaryButton>
    </>
  );
}
