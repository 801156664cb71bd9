// A known client's settings as a walk-round list: what is met first stands first, the mark as large as a hand.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { SetUp } from "../../api/types";
import { Notice } from "../../ui/Notice";
import { Small, Strong } from "../../ui/Page";
import { breakpoint, colour, font, radius, size, space } from "../../ui/tokens";
import { CautionLines } from "../shared/CautionLines";
import { MoveText } from "./MoveText";

const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
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
const Then = styled.dl`
  display: grid;
  gap: ${space(4)};
  dt {
    color: ${colour.inkMuted};
    font-size: ${size.small};
  }
  dd {
    font-size: ${size.large};
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
const Before = styled.ul`
  display: grid;
  gap: ${space(1)};
  margin-bottom: ${space(3)};
  font-size: ${size.large};
`;

const Told = styled.div`
  display: grid;
  gap: ${space(2)};
  margin-bottom: ${space(3)};
`;

export function WalkRound({ setUp }: { setUp: SetUp }) {
  const today = setUp.next_time ?? setUp.load ?? (setUp.load_text ? { text: setUp.load_text, how: "" } : null);
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
      {setUp.left_behind || setUp.aids.length > 0 ? (
        <Before aria-label={say("walkRound.first")}>
          {setUp.left_behind ? <li>{setUp.left_behind}</li> : null}
          {setUp.aids.map((aid) => (
            <li key={aid}>{aid}</li>
          ))}
        </Before>
      ) : null}
      <Halves>
        <Lines aria-label={say("walkRound.settingsInTheOrderIn")}>
          {setUp.lines.map((line) => (
            <Line key={line.label} data-line={line.label}>
              <Mark $long={(line.mark ?? "–").length > 3}>{line.mark ?? "–"}</Mark>
              <div>
                <Name>{line.name}</Name>
                <Small>
                  {[
                    line.how,
                    line.standing ? say("walkRound.beforeAnybodyGetsIn") : "",
                    line.weight_off ? say("walkRound.weightOffItFirst") : "",
                  ]
                    .filter(Boolean)
                    .join(" · ")}
                </Small>
                {line.move ? (
                  <p>
                    <MoveText move={line.move} />
                  </p>
                ) : null}
              </div>
            </Line>
          ))}
        </Lines>
        <Then>
          {setUp.getting_in ? <Entry name={say("walkRound.gettingIn")}>{setUp.getting_in}</Entry> : null}
          {today ? (
            <div>
              <dt>{setUp.next_time ? say("walkRound.loadThisTime") : say("walkRound.load")}</dt>
              <dd data-figure>{today.text}</dd>
              {today.how ? <dd>{today.how}</dd> : null}
              {setUp.next_time && setUp.next_time.text !== setUp.load_text ? (
                <dd>
                  <Small>
                    {say("walkRound.lastTime")} {setUp.load_text}
                    {setUp.load ? `, ${setUp.load.how.toLowerCase()}` : ""}
                  </Small>
                </dd>
              ) : null}
              {setUp.light ? (
                <dd>
                  {say("walkRound.lightSetFirst")} <Strong>{setUp.light.text}</Strong>, {setUp.light.how.toLowerCase()}
                </dd>
              ) : null}
            </div>
          ) : null}
          {setUp.allowed.length > 0 ? (
            <div>
              <dt>{say("walkRound.howFarHow")}</dt>
              {setUp.allowed.map((sentence) => (
                <dd key={sentence}>{sentence}</dd>
              ))}
            </div>
          ) : null}
          {setUp.repetitions ? (
            <Entry name={say("walkRound.sets")}>
              {say("walkRound.setsOf", {
                sets: setUp.sets ?? 2,
                repetitions: setUp.repetitions,
                tempo: setUp.tempo.says,
              })}
            </Entry>
          ) : null}
          {setUp.belt ? <Entry name={say("walkRound.belt")}>{setUp.belt.says}</Entry> : null}
          {setUp.cue ? <Entry name={say("walkRound.whatHelped")}>{setUp.cue}</Entry> : null}
          {setUp.getting_out ? <Entry name={say("walkRound.gettingOut")}>{setUp.getting_out}</Entry> : null}
        </Then>
      </Halves>
      <p style={{ marginTop: space(4) }}>
        <Strong>{say("walkRound.painIsAReasonTo")}</Strong> <Small>{say("walkRound.theMakerSPlateAnd")}</Small>
      </p>
    </>
  );
}

function Entry({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
