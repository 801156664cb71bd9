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
    kept: () => `kept ${momentText(saving.kind === "kept" ? saving.at : null, locale, new Date())}`,
    saving: () => "keeping…",
    waiting: () => "server not reached: kept on this tablet, tried again by itself",
    refused: () => `not kept: ${saving.kind === "refused" ? saving.message : ""} Load the page again.`,
    conflict: () => "two versions",
  };
  return (
    <Line $waiting={saving.kind === "waiting" || saving.kind === "refused"} role="status" data-saving={saving.kind}>
      {words[saving.kind]()}
    </Line>
  );
}
