import { say } from "../../../lib/say";
import styled from "styled-components";
import type { Evaluation, Finding } from "../../../api/types";
import { wholeText } from "../../../lib/lengths";
import { BandName } from "../../../ui/Band";
import { PrimaryButton, SecondaryButton } from "../../../ui/Button";
import { PrimaryLink } from "../../../ui/LinkButton";
import { useTablet } from "../../shared/TabletContext";
import { More } from "../../../ui/More";
import { breakpoint, colour, font, size, space } from "../../../ui/tokens";

const Area = styled.section`
  grid-area: findings;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 15.5rem;
  border-top: 1px solid ${colour.line};
  background: ${colour.panel};
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr) 14rem;
  }
  @media ${breakpoint.phone} {
    order: 3;
    grid-template-columns: minmax(0, 1fr);
  }
`;
const List = styled.ul<{ $many: boolean }>`
  display: grid;
  grid-template-columns: ${({ $many }) =>
    $many ? "repeat(auto-fit, minmax(8.25rem, 1fr))" : "repeat(auto-fit, minmax(9.25rem, 1fr))"};
  gap: ${space(2)} ${({ $many }) => ($many ? space(3) : space(4))};
  padding: ${space(3)} ${space(5)} ${space(2)};
  h2 {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
  [data-value] {
    font-size: ${({ $many }) => ($many ? size.large : size.title)};
  }
  @media ${breakpoint.phone} {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`;
const Number = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${space(2)};
  [data-value] {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    line-height: 1.25;
    letter-spacing: -0.04em;
    word-spacing: -0.3em;
  }
`;
const Says = styled.p`
  font-size: ${size.small};
  line-height: 1.3;
`;
const Move = styled(SecondaryButton)`
  padding: ${space(1)} ${space(2)};
  font-size: ${size.small};
  font-weight: ${font.regular};
  text-align: left;
  line-height: 1.2;
  justify-content: flex-start;
`;
const Motion = styled.p`
  grid-column: 1;
  padding: 0 ${space(5)} ${space(3)};
  font-size: ${size.small};
  color: ${colour.inkMuted};
`;
const Next = styled.div<{ $alone: boolean }>`
  grid-column: 2;
  grid-row: 1 / span 2;
  min-height: ${({ $alone }) => ($alone ? "5.5rem" : "9.25rem")};
  display: grid;
  align-content: center;
  gap: ${space(2)};
  padding: ${space(3)};
  > button:last-child {
    min-height: 60px;
    font-size: ${size.large};
    line-height: 1.15;
  }
  @media ${breakpoint.phone} {
    grid-column: 1;
    grid-row: auto;
  }
`;
const ByHand = styled.span`
  font-size: ${size.small};
  color: ${colour.inkMuted};
`;
const Problem = styled.p`
  color: ${colour.off};
  font-size: ${size.small};
  font-weight: ${font.strong};
`;

/** As many findings as stand large; more stand smaller, so that the drawing keeps its room. */
const FOUR = 4;

type Props = {
  evaluation: Evaluation;
  writing: boolean;
  /** a caution or the maker's limits keep this client off: nothing can be accepted */
  barred: boolean;
  /** something was seen with which nothing looks right */
  unjudged: boolean;
  clientId: string;
  busy: boolean;
  problem: string | null;
  nextTitle: string | null;
  onMove: (label: string, mark: string) => void;
  onNext: () => void;
  /** null for whoever prepares a fitting that somebody else accepts */
  onAccept: (() => void) | null;
};

/** The findings, worst first, each with number, band and words; the step that helps the worst; and the one thing to do next. */
export function FindingsBar({
  evaluation,
  writing,
  barred,
  unjudged,
  clientId,
  busy,
  problem,
  nextTitle,
  onMove,
  onNext,
  onAccept,
}: Props) {
  const tablet = useTablet();
  const move = evaluation.findings.find((finding) => finding.move)?.move;
  return (
    <Area aria-label={say("findingsBar.findings")}>
      <FindingList findings={evaluation.findings} unjudged={barred || unjudged} />
      {evaluation.motion && !barred ? (
        <Motion>
          {evaluation.motion.ending} {evaluation.motion.creep} <More>{evaluation.motion.ratio}</More>
        </Motion>
      ) : null}
      <Next $alone={evaluation.findings.length === 0}>
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        {writing && !barred && !onAccept ? <ByHand>{say("findingsBar.handOverHint")}</ByHand> : null}
        {move && !barred ? <Move onPress={() => onMove(move.adjuster, move.mark)}>{move.says}</Move> : null}
        {barred ? (
          <PrimaryLink to={`/clients/${clientId}`}>{say("findingsBar.cardLink")}</PrimaryLink>
        ) : writing ? (
          <PrimaryButton onPress={onAccept ?? tablet.lock} isDisabled={busy}>
            {onAccept ? say("findingsBar.accept") : say("findingsBar.handOver")}
          </PrimaryButton>
        ) : (
          <PrimaryButton onPress={onNext}>
            {say("findingsBar.next")} {nextTitle ?? say("findingsBar.writeDown")}
          </PrimaryButton>
        )}
      </Next>
    </Area>
  );
}

/** unjudged: numbers without their bands, where nothing may look right. */
export function FindingList({ findings, unjudged = false }: { findings: Finding[]; unjudged?: boolean }) {
  return (
    <List aria-live="polite" $many={findings.length > FOUR}>
      {findings.map((finding) => (
        <li key={finding.code} data-finding={finding.code}>
          <h2>{finding.title}</h2>
          <Number>
            <span data-value>{wholeText(finding.value, finding.unit)}</span>
            {unjudged || finding.graded === false ? null : finding.by_hand ? (
              <ByHand>{say("findingsBar.byHand")}</ByHand>
            ) : (
              <BandName band={finding.band} likely={finding.likely} />
            )}
          </Number>
          <Says>{finding.says}</Says>
        </li>
      ))}
    </List>
  );
}
