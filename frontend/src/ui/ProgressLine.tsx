// How far something is on its way, in words and as a bar.
import { ProgressBar } from "react-aria-components";
import styled from "styled-components";
import { colour, radius, space } from "./tokens";

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

/** share: of a hundred */
export function ProgressLine({ share, words }: { share: number; words: string }) {
  return (
    <Bar value={share} aria-label={words}>
      {({ percentage }) => (
        <>
          <span>{words}</span>
          <Track>
            <div style={{ width: `${percentage ?? 0}%` }} />
          </Track>
        </>
      )}
    </Bar>
  );
}
