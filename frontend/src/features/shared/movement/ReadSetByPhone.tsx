// A set read by a phone: the code to scan, where the arm is while it goes on, and afterwards what it was against what was
// agreed.
import { type ReactNode, useState } from "react";
import styled from "styled-components";
import { refusal } from "../../../api/client";
import type { MadeReading, Movement } from "../../../api/types";
import { momentText } from "../../../lib/dates";
import { say } from "../../../lib/say";
import { ArmLive } from "../../../scene/ArmLive";
import { QuietButton, SecondaryButton } from "../../../ui/Button";
import { CodeToScan } from "../../../ui/CodeToScan";
import { Dialogue } from "../../../ui/Dialogue";
import { Notice } from "../../../ui/Notice";
import { Small, Strong } from "../../../ui/Page";
import { breakpoint, colour, font, radius, space } from "../../../ui/tokens";
import { Review } from "./Review";
import { useMovement } from "./useMovement";

const Box = styled.section`
  display: grid;
  gap: ${space(3)};
  padding: ${space(3)} ${space(4)};
  border: 1px solid ${colour.line};
  border-left: 3px solid ${colour.action};
  border-radius: ${radius};
`;
const Beside = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${space(4)};
  align-items: center;
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Words = styled.div`
  display: grid;
  gap: ${space(2)};
  justify-items: start;
`;
const Address = styled.code`
  font-family: ${font.mark};
  overflow-wrap: anywhere;
`;
const Count = styled.output`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: 4.5rem;
  line-height: 1;
`;
const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;

type Props = {
  make: () => Promise<MadeReading>;
  locale: string;
  /** where there is no room beside the button: over the page */
  over?: boolean;
  /** what is done with one that is over: the buttons under it */
  children: (over: Movement, close: (forget: boolean) => void) => ReactNode;
};

export function ReadSetByPhone({ make, locale, over = false, children }: Props) {
  const movement = useMovement(make);
  const [shown, setShown] = useState(true);
  const { made, making } = movement;
  const open = () => {
    setShown(true);
    if (!made) making.mutate();
  };
  return (
    <>
      {made && !over ? null : (
        <SecondaryButton isDisabled={making.isPending} onPress={open}>
          {made ? say("readByPhone.again") : say("readByPhone.open")}
        </SecondaryButton>
      )}
      {making.error ? <Notice tone="wrong">{refusal(making.error)?.message}</Notice> : null}
      {over ? (
        <Dialogue title={say("readByPhone.title")} isOpen={made !== null && shown} onClose={() => setShown(false)}>
          {made ? <Reading {...{ movement, made, locale, children }} /> : null}
        </Dialogue>
      ) : made ? (
        <Reading {...{ movement, made, locale, children }} />
      ) : null}
    </>
  );
}

type ReadingProps = Pick<Props, "locale" | "children"> & {
  movement: ReturnType<typeof useMovement>;
  made: MadeReading;
};

function Reading({ movement: { making, reading, problem, close }, made, locale, children }: ReadingProps) {
  return (
    <Box aria-label={say("readByPhone.title")} data-reading={reading?.state ?? "waiting"}>
      {problem ? <Notice tone="wrong">{refusal(problem)?.message}</Notice> : null}
      {reading?.state === "over" ? (
        <>
          <Over reading={reading} />
          <Row>{children(reading, close)}</Row>
        </>
      ) : reading?.state === "reading" ? (
        <Live reading={reading} onForget={() => close(true)} />
      ) : reading?.state === "late" ? (
        <>
          <p>{say("readByPhone.late")}</p>
          <Row>
            <SecondaryButton onPress={() => making.mutate()}>{say("readByPhone.another")}</SecondaryButton>
            <QuietButton onPress={() => close(true)}>{say("readByPhone.forget")}</QuietButton>
          </Row>
        </>
      ) : (
        <Beside>
          <CodeToScan rows={made.code} label={say("readByPhone.code")} />
          <Words>
            <Strong>{say("readByPhone.scan")}</Strong>
            <p>{reading?.where}</p>
            <Address>{made.address}</Address>
            <Small>{made.ends_at ? say("readByPhone.until", { time: momentText(made.ends_at, locale) }) : null}</Small>
            <QuietButton onPress={() => close(true)}>{say("readByPhone.forget")}</QuietButton>
          </Words>
        </Beside>
      )}
    </Box>
  );
}

function Live({ reading, onForget }: { reading: Movement; onForget: () => void }) {
  const limit = reading.whole_share === null;
  const upto = reading.count === 0 ? (reading.review?.first_share ?? 1) : 1;
  const ranges = (reading.review?.repetitions ?? []).slice(-4);
  return (
    <Beside>
      {limit ? null : <ArmLive share={reading.share} from={upto * (reading.whole_share ?? 1)} upto={upto} />}
      <Words>
        {limit ? (
          <Count aria-live="polite">{Math.floor(reading.furthest_deg ?? 0)}°</Count>
        ) : (
          <Count aria-live="polite" aria-label={say("phonePage.counted", { count: reading.count })}>
            {reading.count}
          </Count>
        )}
        {ranges.length > 0 ? (
          <p>{say("readByPhone.ranges", { ranges: ranges.map(({ range }) => percent(range)).join(", ") })}</p>
        ) : (
          <p>{reading.still}</p>
        )}
        {reading.restless ? <Notice tone="wrong">{say("phonePage.restless")}</Notice> : null}
        {reading.slipped ? <Notice tone="wrong">{say("phonePage.slipped")}</Notice> : null}
        <QuietButton onPress={onForget}>{say("readByPhone.forget")}</QuietButton>
      </Words>
    </Beside>
  );
}

const HUNDRED = 100;
const percent = (share: number) => `${Math.round(share * HUNDRED)}\u00a0%`;

function Over({ reading }: { reading: Movement }) {
  if (reading.review)
    return <Review review={reading.review} wholeShare={reading.whole_share ?? 1} beside={reading.beside} />;
  return <Count>{Math.floor(reading.furthest_deg ?? 0)}°</Count>;
}
