import type { Dispatch } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import type { FittingState, MachineOnBench, Marks } from "../../api/types";
import type { BenchEvent } from "../../model/bench";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { MarkRow, MarkTag } from "../../ui/MarkTag";
import { space } from "../../ui/tokens";

const Versions = styled.div`
  display: grid;
  gap: ${space(4)};
  h3 {
    margin-bottom: ${space(2)};
  }
`;

type Props = { machine: MachineOnBench; mine: Marks; theirs: FittingState; dispatch: Dispatch<BenchEvent> };

/** Two people changed the same fitting: both versions, and a choice. Nothing was overwritten. */
export function Conflict({ machine, mine, theirs, dispatch }: Props) {
  const tags = (marks: Marks) => (
    <MarkRow>
      {machine.adjusters.map((adjuster) => (
        <MarkTag key={adjuster.label} label={adjuster.name} mark={marks[adjuster.label] ?? "–"} />
      ))}
    </MarkRow>
  );
  const closed = theirs.state === "accepted";
  return (
    <Dialogue
      title={closed ? `${theirs.by} accepted this fitting` : `${theirs.by} changed this fitting`}
      isOpen
      onClose={() => (closed ? undefined : dispatch({ type: "takeTheirs" }))}
    >
      <Versions>
        <div>
          <h3>Theirs</h3>
          {tags(theirs.marks)}
        </div>
        <div>
          <h3>Yours</h3>
          {tags(mine)}
        </div>
        {closed ? (
          <p>
            It stands on the card as they accepted it.{" "}
            <Link to={`/fittings/${theirs.id}`} reloadDocument>
              Open the record
            </Link>
          </p>
        ) : (
          <MarkRow>
            <PrimaryButton onPress={() => dispatch({ type: "takeTheirs" })}>Take theirs</PrimaryButton>
            <SecondaryButton onPress={() => dispatch({ type: "keepMine" })}>Keep mine</SecondaryButton>
          </MarkRow>
        )}
      </Versions>
    </Dialogue>
  );
}
