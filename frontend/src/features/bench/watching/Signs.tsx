// The signs of a bad fit, ticked as they are seen; under the first that is a reading the one move that all of them speak for,
// under each what else may be behind it and what came of what was tried. That nothing else was seen is a reading too.
import { say } from "../../../lib/say";
import { useQuery } from "@tanstack/react-query";
import same from "fast-deep-equal";
import { type Dispatch, useState } from "react";
import { CheckboxGroup, Label } from "react-aria-components";
import styled from "styled-components";
import { signsQuery } from "../../../api/queries";
import type { CueSaid, ExplainedSign, FittingPage, Sheet } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { QuietButton, SecondaryButton } from "../../../ui/Button";
import { FieldLabel } from "../../../ui/Field";
import { Notice } from "../../../ui/Notice";
import { Tick } from "../../../ui/Tick";
import { breakpoint, colour, font, size, space, target } from "../../../ui/tokens";
import { sameMarks } from "../../../lib/same";
import { Cues } from "../../shared/visit/Cues";
import { NextMove } from "./NextMove";
import { Trail } from "./Trail";

const Ticks = styled(CheckboxGroup)`
  display: grid;
`;
/** A long list: on a phone it stands behind a button, unless something in it was seen. */
const List = styled.div<{ $open: boolean }>`
  display: grid;
  @media ${breakpoint.phone} {
    display: ${({ $open }) => ($open ? "grid" : "none")};
  }
`;
const Opener = styled(SecondaryButton)`
  display: none;
  @media ${breakpoint.phone} {
    display: inline-flex;
    justify-self: start;
  }
`;
const Causes = styled.ol`
  margin: 0 0 ${space(3)} ${space(2)};
  padding: 0 0 0 ${space(3)};
  border-left: 3px solid ${colour.action};
  list-style: none;
  display: grid;
  gap: ${space(2)};
  font-size: ${size.small};
`;
const Title = styled.span<{ $denied: boolean }>`
  display: block;
  font-weight: ${font.strong};
  color: ${({ $denied }) => ($denied ? colour.inkMuted : colour.ink)};
`;
const Says = styled.span`
  display: block;
`;

const Folded = styled.details`
  margin: 0 0 ${space(2)} ${space(2)};
  summary {
    min-height: ${target.least};
    align-content: center;
    font-size: ${size.small};
    cursor: pointer;
  }
`;
const Watched = styled.div`
  margin-top: ${space(3)};
`;
const Move = styled(QuietButton)`
  margin-left: -${space(2)};
`;

/** So many watched repetitions are kept, the latest. */
const MOST = 20;

type Props = { fitting: FittingPage; sheet: Sheet; dispatch: Dispatch<BenchEvent> };

export function Signs({ fitting, sheet, dispatch }: Props) {
  const explained = useQuery(signsQuery(fitting.id, sheet));
  const [asked, setAsked] = useState(false);
  const open = asked || sheet.signs.length > 0;
  const explanationOf = (name: string) => explained.data?.signs.find((sign) => sign.name === name);
  const next = explained.data?.next ?? null;
  const order = fitting.steps.map((step) => step.id);
  const watched = sheet.work.watched ?? [];
  const here = watched.some(({ marks, seen }) => sameMarks(marks, sheet.marks) && same(seen, sheet.signs));
  const look = () =>
    dispatch({
      type: "write",
      fields: {
        work: { ...sheet.work, watched: [...watched, { marks: sheet.marks, seen: sheet.signs }].slice(-MOST) },
      },
    });
  // What was said last counts; the one that helped stands on the card.
  const went = (said: CueSaid) => {
    const words = explanationOf(said.about)?.cues.find(({ name }) => name === said.cue)?.words ?? "";
    const others = (sheet.work.cues ?? []).filter(({ cue, about }) => cue !== said.cue || about !== said.about);
    dispatch({
      type: "write",
      fields: {
        work: { ...sheet.work, cues: [...others, said].slice(-MOST) },
        ...(said.went === "better" && sheet.cue === "" ? { cue: words } : {}),
      },
    });
  };
  const tried = (sign: string | null) => (adjuster: string, to: string) =>
    dispatch(sign === null ? { type: "set", order, label: adjuster, mark: to } : { type: "try", sign, adjuster, to });
  return (
    <Ticks value={sheet.signs} onChange={(signs) => dispatch({ type: "write", fields: { signs } })}>
      <FieldLabel as={Label}>{say("signs.signsSeen")}</FieldLabel>
      <Opener aria-expanded={open} onPress={() => setAsked(!asked)} isDisabled={sheet.signs.length > 0}>
        {say("signs.show", { count: fitting.machine.signs.length })}
      </Opener>
      <List $open={open}>
        {fitting.machine.signs.map((sign) => (
          <div key={sign.name} data-sign={sign.name}>
            <Tick value={sign.name}>{sign.title}</Tick>
            {sheet.signs.includes(sign.name) ? (
              <>
                <Trail fitting={fitting} sheet={sheet} sign={sign.name} dispatch={dispatch} />
                {next?.sign === sign.name ? <NextMove next={next} onMove={tried(sign.name)} /> : null}
                <Behind
                  sign={sign.title}
                  explained={explanationOf(sign.name)}
                  folded={next?.sign === sign.name && next.move !== null}
                  onMove={tried(sign.name)}
                />
                <Cues
                  about={sign.name}
                  cues={explanationOf(sign.name)?.cues ?? []}
                  said={sheet.work.cues ?? []}
                  onWent={went}
                />
              </>
            ) : null}
          </div>
        ))}
        <Watched>
          {next && next.sign === null ? <NextMove next={next} onMove={tried(null)} /> : null}
          {here ? (
            <p role="status">{say("signs.watched")}</p>
          ) : (
            <SecondaryButton onPress={look}>
              {sheet.signs.length > 0 ? say("signs.lookedRest") : say("signs.lookedVain")}
            </SecondaryButton>
          )}
        </Watched>
      </List>
    </Ticks>
  );
}

type BehindProps = {
  sign: string;
  explained: ExplainedSign | undefined;
  /** Behind a line where one move stands before it. */
  folded: boolean;
  onMove: (label: string, mark: string) => void;
};

/** How sure the numbers are of it, for and against. */
const surely = (probability: number | null): string =>
  probability === null
    ? ""
    : probability > 0.9
      ? say("signs.almostCertainly")
      : probability > 0.7
        ? say("signs.veryLikely")
        : say("signs.likely");

/** What the numbers deny stands last, with what to do where it is seen all the same. */
function Behind({ sign, explained, folded, onMove }: BehindProps) {
  if (!explained) return null;
  const { causes, never, then } = explained;
  const all = (
    <Causes aria-label={say("signs.causeLabel", { sign })}>
      {then ? <li>{never ? <Notice tone="wrong">{then}</Notice> : <Says>{then}</Says>}</li> : null}
      {causes.map(({ name, title, standing, probability, says, move }) => (
        <li key={name} data-cause={name}>
          <Title $denied={standing === "denied"}>
            {title}
            {standing === "denied" ? say("signs.contradicted") : surely(probability)}
          </Title>
          <Says>
            {standing === "denied"
              ? say("signs.otherwise", { says: says.replace(/^./, (letter) => letter.toLowerCase()) })
              : says}
          </Says>
          {move && standing === "shown" ? (
            <Move onPress={() => onMove(move.adjuster, move.mark)}>{say("signs.moveIt")}</Move>
          ) : null}
        </li>
      ))}
    </Causes>
  );
  if (!folded || never) return all;
  return (
    <Folded>
      <summary>{say("signs.otherCauses", { count: causes.length })}</summary>
      {all}
    </Folded>
  );
}
