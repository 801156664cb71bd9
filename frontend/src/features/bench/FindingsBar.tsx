import styled from "styled-components";
import type { Evaluation, Finding } from "../../api/types";
import { BandName } from "../../ui/Band";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { breakpoint, colour, font, size, space } from "../../ui/tokens";

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
    grid-template-columns: minmax(0, 1fr);
  }
`;
const List = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(9.25rem, 1fr));
  gap: ${space(2)} ${space(4)};
  padding: ${space(3)} ${space(5)} ${space(2)};
  @media ${breakpoint.phone} {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`;
const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 0 ${space(2)};
  h2 {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
`;
const Value = styled.p`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.title};
  line-height: 1.25;
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
const Next = styled.div`
  grid-column: 2;
  grid-row: 1 / span 2;
  min-height: 9.25rem;
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
const Problem = styled.p`
  color: ${colour.off};
  font-size: ${size.small};
  font-weight: ${font.strong};
`;

const value = (finding: Finding): string => {
  const rounded = Math.round(finding.value);
  const shown = Object.is(rounded, -0) ? 0 : rounded;
  return finding.unit === "deg" ? `${shown}°` : `${shown} mm`.replace("-", "−");
};

type Props = {
  evaluation: Evaluation;
  writing: boolean;
  busy: boolean;
  problem: string | null;
  nextTitle: string | null;
  onMove: (label: string, mark: string) => void;
  onNext: () => void;
  onAccept: () => void;
};

/** The findings, worst first, each with number, band and words; the step that helps the worst; and the one thing to do next. */
export function FindingsBar({ evaluation, writing, busy, problem, nextTitle, onMove, onNext, onAccept }: Props) {
  const move = evaluation.findings.find((finding) => finding.move)?.move;
  return (
    <Area aria-label="Findings">
      <FindingList findings={evaluation.findings} />
      <Motion>
        {evaluation.motion.creep} {evaluation.motion.ratio}
      </Motion>
      <Next>
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        {move ? <Move onPress={() => onMove(move.adjuster, move.mark)}>{move.says}</Move> : null}
        {writing ? (
          <PrimaryButton onPress={onAccept} isDisabled={busy}>
            Accept and write down
          </PrimaryButton>
        ) : (
          <PrimaryButton onPress={onNext}>Next: {nextTitle ?? "write down"}</PrimaryButton>
        )}
      </Next>
    </Area>
  );
}

export function FindingList({ findings }: { findings: Finding[] }) {
  return (
    <List aria-live="polite">
      {findings.map((finding) => (
        <li key={finding.code} data-finding={finding.code}>
          <Head>
            <h2>{finding.title}</h2>
            <BandName band={finding.band} likely={finding.likely} />
          </Head>
          <Value data-value>{value(finding)}</Value>
          <Says>{finding.says}</Says>
        </li>
      ))}
    </List>
  );
}
