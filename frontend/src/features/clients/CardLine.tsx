// A line of a client's card: a machine, or an exercise of a station, with its marks, how well it fits, and the way to the bench.
import styled from "styled-components";
import type { CardLine as CardLineData, Machine, Prediction } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { BandName } from "../../ui/Band";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { SecondaryLink } from "../../ui/LinkButton";
import { MarkRow, MarkTag, MarkTags } from "../../ui/MarkTag";
import { Muted, Small, Strong } from "../../ui/Page";
import { breakpoint, colour, size, space } from "../../ui/tokens";
import { Needs } from "../shared/Needs";
import { Predicted } from "./Predicted";

const CardRow = styled.li`
  display: grid;
  grid-template-columns: minmax(9rem, 2fr) minmax(0, 4fr) 7.5rem;
  gap: ${space(3)} ${space(4)};
  align-items: center;
  padding: ${space(4)};
  @media ${breakpoint.phone} {
    grid-template-columns: 1fr;
  }
`;
const End = styled.span`
  display: flex;
  flex-direction: column;
  align-items: stretch;
  gap: ${space(2)};
`;
const Said = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${space(1)};
  margin-top: ${space(1)};
`;

const Warned = styled.p`
  font-size: ${size.small};
  color: ${colour.closeInk};
`;
const Wrong = styled.p`
  font-size: ${size.small};
  color: ${colour.off};
`;

type LineProps = {
  machine: Machine;
  name: string;
  line: CardLineData | undefined;
  /** what would be advised; nothing while it is computed */
  prediction: Prediction | undefined;
  first: boolean;
  /** the machine it took the place of, where they were fitted on that */
  replaces: string | undefined;
  locale: string;
  busy: boolean;
  onOpen: () => void;
};

function NotFitted({ prediction }: { prediction: Prediction | undefined }) {
  return prediction ? <Predicted prediction={prediction} /> : <Muted>{say("card.unfitted")}</Muted>;
}

export function CardLine({ machine, name, line, prediction, first, replaces, locale, busy, onOpen }: LineProps) {
  const accepted = line?.accepted;
  // Nobody is set up by marks with which something is wrong today.
  const holds = (line?.outdated ?? []).length === 0;
  const Start = first ? PrimaryButton : SecondaryButton;
  return (
    <CardRow data-machine={name}>
      <div>
        <Strong>{name}</Strong>
        <br />
        <Small>{machine.place}</Small>
        {replaces && !accepted ? (
          <>
            <br />
            <Small>{say("card.replaces", { machine: replaces })}</Small>
          </>
        ) : null}
        {accepted ? (
          <>
            <br />
            <Small>
              {accepted.by}, {momentText(accepted.accepted_at, locale)}
            </Small>
          </>
        ) : null}
        <Needs machine={machine} quiet />
      </div>
      <div>
        {accepted && holds ? (
          <>
            <MarkRow>
              <MarkTags tags={accepted.marks} />
              {accepted.load ? <MarkTag label={say("card.load")} mark={accepted.load} /> : null}
            </MarkRow>
            <Said>
              <BandName band={accepted.grade} />
              {accepted.checked ? <Small>{say("card.byEye")}</Small> : null}
            </Said>
            {accepted.cushions.map((cushion) => (
              <Small key={cushion}>{cushion} </Small>
            ))}
            {accepted.remeasured ? <Warned>{say("card.staleReading")}</Warned> : null}
          </>
        ) : accepted ? null : (
          <NotFitted prediction={prediction} />
        )}
        {line?.outdated.map((one) => (
          <Wrong key={one}>{one}</Wrong>
        ))}
      </div>
      <End>
        {accepted && holds ? (
          <SecondaryLink to={`/fittings/${accepted.id}/set-up`}>
            {say("card.setUp")}
            <On name={name} />
          </SecondaryLink>
        ) : null}
        {line?.draft ? (
          <SecondaryLink to={`/fittings/${line.draft.id}`}>{say("card.resume")}</SecondaryLink>
        ) : (
          <Start onPress={onOpen} isDisabled={busy}>
            {accepted ? say("card.fitAgain") : say("card.fit")}
            <On name={name} />
          </Start>
        )}
      </End>
    </CardRow>
  );
}

/** Said for a screen reader, where the row's name is not read with its button. */
function On({ name }: { name: string }) {
  return (
    <span style={{ position: "absolute", clipPath: "inset(50%)" }}>
      {" "}
      {say("card.on")} {name}
    </span>
  );
}
