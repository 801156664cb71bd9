// The signs of a bad fit, ticked as they are seen; under each that is ticked what is probably behind it, the notch to move, and
// what came of those that were tried.
import { say } from "../../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { type Dispatch, useState } from "react";
import { CheckboxGroup, Label } from "react-aria-components";
import styled from "styled-components";
import { signsQuery } from "../../../api/queries";
import type { ExplainedSign, FittingPage, Sheet } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { QuietButton, SecondaryButton } from "../../../ui/Button";
import { FieldLabel } from "../../../ui/Field";
import { Notice } from "../../../ui/Notice";
import { Tick } from "../../../ui/Tick";
import { breakpoint, colour, font, size, space } from "../../../ui/tokens";
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

const Move = styled(QuietButton)`
  margin-left: -${space(2)};
`;

type Props = { fitting: FittingPage; sheet: Sheet; dispatch: Dispatch<BenchEvent> };

export function Signs({ fitting, sheet, dispatch }: Props) {
  const explained = useQuery(signsQuery(fitting.id, sheet));
  const [asked, setAsked] = useState(false);
  const open = asked || sheet.signs.length > 0;
  const explanationOf = (name: string) => explained.data?.signs.find((sign) => sign.name === name);
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
                <Behind
                  sign={sign.title}
                  explained={explanationOf(sign.name)}
                  onMove={(adjuster, to) => dispatch({ type: "try", sign: sign.name, adjuster, to })}
                />
              </>
            ) : null}
          </div>
        ))}
      </List>
    </Ticks>
  );
}

type BehindProps = {
  sign: string;
  explained: ExplainedSign | undefined;
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
function Behind({ sign, explained, onMove }: BehindProps) {
  if (!explained) return null;
  const { causes, never, then } = explained;
  return (
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
}
