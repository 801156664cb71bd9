// A known client's settings as a walk-round list: what is met first stands first, the mark as large as a hand.
import { say } from "../../lib/say";
import type { ReactNode } from "react";
import styled from "styled-components";
import type { SetUp } from "../../api/types";
import { Notice } from "../../ui/Notice";
import { Small, Strong } from "../../ui/Page";
import { breakpoint, colour, font, radius, size, space } from "../../ui/tokens";
import { CautionLines } from "../shared/CautionLines";
import { First } from "../shared/visit/First";
import { MoveText } from "./MoveText";

const Halves = styled.div<{ $even: boolean }>`
  display: grid;
  grid-template-columns: ${({ $even }) => ($even ? "minmax(0, 1fr) minmax(0, 1fr)" : "minmax(0, 3fr) minmax(0, 2fr)")};
  gap: ${space(7)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Lines = styled.ol`
  display: grid;
  gap: ${space(3)};
`;
const Line = styled.li`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${space(1)} ${space(4)};
  align-items: center;
  padding: ${space(2)} ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
/** A mark to be read from the other side of the machine: about 90 px. */
const Mark = styled.span<{ $long: boolean }>`
  min-width: 1.4em;
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${({ $long }) => ($long ? "2.75rem" : "5.625rem")};
  line-height: 1;
  letter-spacing: -0.1em;
  text-align: center;
`;
const Name = styled.h2`
  font-size: ${size.large};
`;
const Then = styled.dl<{ $compact: boolean }>`
  display: grid;
  gap: ${({ $compact }) => space($compact ? 2 : 4)};
  margin-top: ${({ $compact }) => space($compact ? 4 : 0)};
  dt {
    color: ${colour.inkMuted};
    font-size: ${size.small};
  }
  dd {
    font-size: ${({ $compact }) => ($compact ? size.text : size.large)};
    line-height: 1.3;
  }
  dd[data-figure] {
    font-family: ${font.mark};
    word-spacing: -0.3em;
    font-weight: ${font.strong};
    font-size: 3.75rem;
    line-height: 1;
    letter-spacing: -0.06em;
  }
`;
const Earlier = styled.div`
  &:not(:empty) {
    margin-bottom: ${space(3)};
  }
`;
const Told = styled.div`
  display: grid;
  gap: ${space(2)};
  margin-bottom: ${space(3)};
`;

/** With what is written down beside it (children); without, for the client, with the load to be read. */
export function WalkRound({ setUp, children }: { setUp: SetUp; children?: ReactNode }) {
  const handed = children === undefined;
  return (
    <>
      {setUp.bars.length > 0 || setUp.cautions.length > 0 ? (
        <Told>
          {setUp.bars.map((bar) => (
            <Notice key={bar} tone="wrong">
              {bar}
            </Notice>
          ))}
          <CautionLines cautions={setUp.cautions} />
        </Told>
      ) : null}
      <Earlier>
        <First setUp={setUp} />
      </Earlier>
      <Halves $even={!handed}>
        <div>
          <Lines aria-label={say("walkRound.settingsTitle")}>
            {setUp.lines.map((line) => (
              <LineOf key={line.label} line={line} />
            ))}
            {setUp.placed.map(({ label, name, mark }) => (
              <Line key={label} data-line={label}>
                <Mark $long={mark.length > 3}>{mark}</Mark>
                <Name>{name}</Name>
              </Line>
            ))}
          </Lines>
          {handed ? null : <How setUp={setUp} compact />}
        </div>
        {handed ? <How setUp={setUp} /> : children}
      </Halves>
      <p style={{ marginTop: space(4) }}>
        <Strong>{say("walkRound.painRule")}</Strong> <Small>{say("walkRound.makerFirst")}</Small>
      </p>
    </>
  );
}

function LineOf({ line }: { line: SetUp["lines"][number] }) {
  const how = [
    line.how,
    line.standing ? say("walkRound.outside") : "",
    line.weight_off ? say("walkRound.loadOff") : "",
  ];
  return (
    <Line data-line={line.label}>
      <Mark $long={(line.mark ?? "–").length > 3}>{line.mark ?? "–"}</Mark>
      <div>
        <Name>{line.name}</Name>
        <Small>{how.filter(Boolean).join(" · ")}</Small>
        {line.move ? (
          <p>
            <MoveText move={line.move} />
          </p>
        ) : null}
      </div>
    </Line>
  );
}

/** In and out, how far, how: what is told beside the marks. */
function How({ setUp, compact = false }: { setUp: SetUp; compact?: boolean }) {
  const { today } = setUp.visit;
  return (
    <Then $compact={compact}>
      {setUp.getting_in ? <Entry name={say("walkRound.gettingIn")}>{setUp.getting_in}</Entry> : null}
      {compact ? null : today?.load ? (
        <div>
          <dt>{say("walkRound.loadTitle")}</dt>
          <dd data-figure>{today.load.text}</dd>
          <dd>{today.load.how}</dd>
          {today.light && !today.alone ? (
            <dd>
              {say("walkRound.lightSet")} <Strong>{today.light.text}</Strong>, {today.light.how.toLowerCase()}
            </dd>
          ) : null}
        </div>
      ) : setUp.load_text ? (
        <Entry name={say("walkRound.load")}>{setUp.load_text}</Entry>
      ) : null}
      {setUp.allowed.length > 0 ? (
        <div>
          <dt>{say("walkRound.howMoves")}</dt>
          {setUp.allowed.map((sentence) => (
            <dd key={sentence}>{sentence}</dd>
          ))}
        </div>
      ) : null}
      <Entry name={say("walkRound.sets")}>
        {say("walkRound.setsOf", {
          sets: setUp.visit.sets,
          repetitions: setUp.visit.repetitions,
          tempo: setUp.tempo.says,
        })}
      </Entry>
      {setUp.begins ? <Entry name={say("walkRound.begins")}>{setUp.begins}</Entry> : null}
      {setUp.belt ? <Entry name={say("walkRound.belt")}>{setUp.belt.says}</Entry> : null}
      {setUp.cue ? <Entry name={say("walkRound.whatHelped")}>{setUp.cue}</Entry> : null}
      {setUp.getting_out ? <Entry name={say("walkRound.gettingOut")}>{setUp.getting_out}</Entry> : null}
    </Then>
  );
}

function Entry({ name, children }: { name: string; children: ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
