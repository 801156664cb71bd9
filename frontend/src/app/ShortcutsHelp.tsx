import { say } from "../lib/say";
import styled from "styled-components";
import { Dialogue } from "../ui/Dialogue";
import { colour, font, radius, space } from "../ui/tokens";

const KEYS = [
  ["/", say("shortcutsHelp.find")],
  ["← →", say("shortcutsHelp.move")],
  ["[ ]", say("shortcutsHelp.steps")],
  ["u", say("shortcutsHelp.undo")],
  [say("shortcutsHelp.enter"), say("shortcutsHelp.accept")],
  ["?", say("shortcutsHelp.thisList")],
] as const;

const List = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: ${space(3)} ${space(4)};
  align-items: center;
`;
const Key = styled.dt`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  padding: ${space(1)} ${space(2)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  text-align: center;
`;

export function ShortcutsHelp({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Dialogue title={say("shortcutsHelp.keys")} isOpen={isOpen} onClose={onClose}>
      <List>
        {KEYS.map(([key, what]) => (
          <div key={key} style={{ display: "contents" }}>
            <Key>{key}</Key>
            <dd>{what}</dd>
          </div>
        ))}
      </List>
    </Dialogue>
  );
}
