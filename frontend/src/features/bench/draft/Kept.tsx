import { say } from "../../../lib/say";
import styled from "styled-components";
import { momentText } from "../../../lib/dates";
import type { Saving } from "../../../model/bench";
import { colour, font, size } from "../../../ui/tokens";

const Line = styled.span<{ $waiting: boolean }>`
  font-size: ${size.small};
  color: ${({ $waiting }) => ($waiting ? colour.closeInk : colour.inkMuted)};
  font-weight: ${({ $waiting }) => ($waiting ? font.strong : font.regular)};
`;

/** What has become of the last change. */
export function Kept({ saving, locale }: { saving: Saving; locale: string }) {
  const words = {
    kept: () => say("kept.keptMoment", { moment: momentText(saving.kind === "kept" ? saving.at : null, locale) }),
    saving: () => say("kept.keeping"),
    waiting: () => say("kept.unreached"),
    refused: () => say("kept.refused", { message: saving.kind === "refused" ? saving.message : "" }),
    conflict: () => say("kept.twoVersions"),
  };
  return (
    <Line $waiting={saving.kind === "waiting" || saving.kind === "refused"} role="status" data-saving={saving.kind}>
      {words[saving.kind]()}
    </Line>
  );
}
