// A client's cautions in a few words, wherever the client stands: calm, specific, once.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import { meQuery } from "../../api/queries";
import type { CautionLine } from "../../api/types";
import { dayText } from "../../lib/dates";
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

const SIDES: Record<string, string> = {
  "": "",
  left: say("cautionLines.left"),
  right: say("cautionLines.right"),
  both: say("cautionLines.bothSides"),
};

/** "left knee pain or injury · cleared" */
export const cautionWords = (caution: CautionLine): string =>
  `${SIDES[caution.side] ?? ""}${caution.title.toLowerCase()}${caution.cleared ? say("cautionLines.cleared") : ""}`;

/** Whose word it defers to, with which degrees and loads. */
function clearedWords(caution: CautionLine, locale: string): string {
  if (!caution.cleared_by || !caution.cleared_on) return "";
  const { degrees = [], load_to_kg: load = null } = caution;
  const allowed = [
    ...degrees.map(({ says }) => says.toLowerCase()),
    load === null ? null : say("cautionLines.loadLimit", { load }),
  ].filter((one) => one !== null);
  return say("cautionLines.clearance", {
    clearedby: caution.cleared_by,
    day: dayText(caution.cleared_on, locale),
    what: allowed.length > 0 ? `: ${allowed.join(", ")}` : "",
  });
}

export function CautionChips({ cautions }: { cautions: readonly CautionLine[] }) {
  return cautions.map((caution) => <Chip key={caution.name}>{cautionWords(caution)}</Chip>);
}

export function CautionLines({ cautions }: { cautions: readonly CautionLine[] }) {
  const me = useQuery(meQuery);
  const locale = me.data?.gym.locale ?? "en-GB";
  return (
    <List>
      {cautions.map((caution) => (
        <Item key={caution.name}>
          <Strong>{cautionWords(caution).replace(/^./, (letter) => letter.toUpperCase())}</Strong>
          <br />
          <Small>
            {caution.does} {clearedWords(caution, locale)}
          </Small>
        </Item>
      ))}
    </List>
  );
}
