// What later moves disturbed of what was seen before, with the mark that is best there now.
import { say } from "../../../lib/say";
import type { Dispatch } from "react";
import styled from "styled-components";
import type { Band, FittingPage } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { BandName } from "../../../ui/Band";
import { SecondaryButton } from "../../../ui/Button";
import { Empty } from "../../../ui/Page";
import { colour, font, radius, space } from "../../../ui/tokens";

export type Moved = {
  step: string;
  code: string;
  by: number;
  band: Band;
  says: string;
  move: { adjuster: string; mark: string; says: string } | null;
};

const List = styled.ul`
  display: grid;
  gap: ${space(3)};
  li {
    display: grid;
    gap: ${space(2)};
    padding: ${space(3)};
    border: 1px solid ${colour.line};
    border-radius: ${radius};
  }
  h2 {
    display: flex;
    justify-content: space-between;
    gap: ${space(2)};
    font-size: inherit;
    font-weight: ${font.strong};
  }
`;

type Props = { fitting: FittingPage; moved: Moved[]; order: readonly string[]; dispatch: Dispatch<BenchEvent> };

export function Again({ fitting, moved, order, dispatch }: Props) {
  if (moved.length === 0) return <Empty>{say("again.unmoved")}</Empty>;
  return (
    <List aria-label={say("again.checkAgain")} aria-live="polite">
      {moved.map(({ step, band, says, move }) => (
        <li key={step} data-moved={step}>
          <h2>
            {fitting.steps.find(({ id }) => id === step)?.title}
            <BandName band={band} />
          </h2>
          <p>{says}</p>
          {move ? (
            <SecondaryButton onPress={() => dispatch({ type: "set", order, label: move.adjuster, mark: move.mark })}>
              {move.says}
            </SecondaryButton>
          ) : null}
        </li>
      ))}
    </List>
  );
}
