// A client's cautions in a few words, wherever the client stands: calm, specific, once.
import styled from "styled-components";
import type { CautionLine } from "../../api/types";
import { Small, Strong } from "../../ui/Page";
import { colour, radius, space } from "../../ui/tokens";

const List = styled.ul`
  display: grid;
  gap: ${space(2)};
`;
const Item = styled.li`
  padding: ${space(3)} ${space(4)};
  border-left: 4px solid ${colour.close};
  border-radius: ${radius};
  background: ${colour.closeFill};
`;
const Chip = styled.span`
  padding: ${space(1)} ${space(3)};
  border: 1px solid ${colour.close};
  border-radius: ${radius};
  color: ${colour.closeInk};
  white-space: nowrap;
`;

const SIDES: Record<string, string> = { "": "", left: "left ", right: "right ", both: "both sides " };

/** "left knee pain or injury · cleared" */
export const cautionWords = (caution: CautionLine): string =>
  `${SIDES[caution.side] ?? ""}${caution.title.toLowerCase()}${caution.cleared ? " · cleared" : ""}`;

export function CautionChips({ cautions }: { cautions: readonly CautionLine[] }) {
  return cautions.map((caution) => <Chip key={caution.name}>{cautionWords(caution)}</Chip>);
}

export function CautionLines({ cautions }: { cautions: readonly CautionLine[] }) {
  return (
    <List>
      {cautions.map((caution) => (
        <Item key={caution.name}>
          <Strong>{cautionWords(caution).replace(/^./, (letter) => letter.toUpperCase())}</Strong>
          <br />
          <Small>{caution.does}</Small>
        </Item>
      ))}
    </List>
  );
}
