// What can be said to a sign, or where a set was felt: the best first, and how it went on after it was said.
import styled from "styled-components";
import type { Cue, CueSaid } from "../../../api/types";
import { say } from "../../../lib/say";
import { Small } from "../../../ui/Page";
import { colour, font, size, space } from "../../../ui/tokens";
import { Answer, Answers } from "./Answer";

const List = styled.ul`
  display: grid;
  gap: ${space(2)};
  margin: ${space(1)} 0 ${space(2)};
  padding-left: ${space(3)};
  border-left: 3px solid ${colour.action};
  p {
    font-weight: ${font.strong};
  }
  button {
    flex: 1;
    min-width: 0;
    padding-inline: ${space(1)};
    font-size: ${size.small};
  }
  div > span {
    flex-basis: 100%;
  }
`;
const WENT = [
  ["better", say("cues.better")],
  ["same", say("cues.same")],
  ["worse", say("cues.worse")],
] as const;

type Props = {
  about: string;
  cues: readonly Cue[];
  /** how it went on, of each that was said */
  said: readonly CueSaid[];
  onWent: (said: CueSaid) => void;
};

export function Cues({ about, cues, said, onWent }: Props) {
  if (cues.length === 0) return null;
  return (
    <List aria-label={say("cues.title")}>
      {cues.map((cue) => {
        const went = said.find((one) => one.cue === cue.name && one.about === about)?.went;
        return (
          <li key={cue.name} data-cue={cue.name}>
            <p>“{cue.words}”</p>
            <Answers role="group" aria-label={say("cues.wentOn", { words: cue.words })}>
              {WENT.map(([name, title]) => (
                <Answer
                  key={name}
                  selected={went === name}
                  onPress={() => onWent({ cue: cue.name, about, went: name })}
                >
                  {title}
                </Answer>
              ))}
              <Small>{counted(cue)}</Small>
            </Answers>
          </li>
        );
      })}
    </List>
  );
}

function counted({ theirs, helped, tried }: Cue) {
  if (theirs) return say("cues.theirs");
  return tried > 0 ? say("cues.counted", { helped, tried }) : "";
}
