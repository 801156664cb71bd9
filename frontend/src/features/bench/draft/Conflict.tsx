import { say } from "../../../lib/say";
import same from "fast-deep-equal";
import type { Dispatch } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { refusal } from "../../../api/client";
import type { FittingState, MachineOnBench, Marks, Sheet } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { PrimaryButton, SecondaryButton } from "../../../ui/Button";
import { Dialogue } from "../../../ui/Dialogue";
import { MarkRow, MarkTag } from "../../../ui/MarkTag";
import { Notice } from "../../../ui/Notice";
import { space } from "../../../ui/tokens";
import { useReopen } from "../../shared/Discarded";
import { told } from "../../../model/marks";

const Versions = styled.div`
  display: grid;
  gap: ${space(4)};
  h3 {
    margin-bottom: ${space(2)};
  }
`;

/** What else a sheet holds, as it is called on the floor. */
const BESIDES: Record<Exclude<keyof Sheet, "marks">, string> = {
  aids: "cushions",
  load: say("conflict.theLoad"),
  signs: say("conflict.signsSeen"),
  note: say("conflict.theNote"),
  knee_off_mm: say("conflict.kneePart"),
  roller_seen: say("conflict.rollerPart"),
  flow: say("conflict.stepsPart"),
  work: say("conflict.visitPart"),
  cue: say("conflict.theCue"),
  reason: say("conflict.theReason"),
  trail: say("conflict.triesPart"),
  creep: say("conflict.creepPart"),
};

type Props = { machine: MachineOnBench; mine: Sheet; theirs: FittingState; dispatch: Dispatch<BenchEvent> };

/** Two people changed the same fitting: both versions, and a choice. Nothing was overwritten. */
export function Conflict({ machine, mine, theirs, dispatch }: Props) {
  const tags = (marks: Marks) => (
    <MarkRow>
      {machine.adjusters.map((adjuster) => (
        <MarkTag key={adjuster.label} label={adjuster.name} mark={told(adjuster, marks[adjuster.label])} />
      ))}
    </MarkRow>
  );
  const besides = Object.entries(BESIDES)
    .filter(([name]) => !same(mine[name as keyof Sheet], theirs[name as keyof Sheet]))
    .map(([, words]) => words);
  const closed = theirs.state !== "draft";
  return (
    <Dialogue
      title={
        closed
          ? say("conflict.closedBy", { by: theirs.by, state: theirs.state })
          : say("conflict.changedBy", { by: theirs.by })
      }
      isOpen
      onClose={() => (closed ? undefined : dispatch({ type: "takeTheirs" }))}
    >
      <Versions>
        <div>
          <h3>{say("conflict.theirs")}</h3>
          {tags(theirs.marks)}
        </div>
        <div>
          <h3>{say("conflict.yours")}</h3>
          {tags(mine.marks)}
        </div>
        {besides.length > 0 ? (
          <p>
            {say("conflict.otherDifferences")} {besides.join(", ")}.
          </p>
        ) : null}
        {theirs.state === "discarded" ? (
          <GoOn theirs={theirs} onOpen={(now) => dispatch({ type: "keepMine", version: now.version })} />
        ) : closed ? (
          <p>
            {say("conflict.staysClosed")}{" "}
            <Link to={`/fittings/${theirs.id}`} reloadDocument>
              {say("conflict.recordLink")}
            </Link>
          </p>
        ) : (
          <MarkRow>
            <PrimaryButton onPress={() => dispatch({ type: "takeTheirs" })}>{say("conflict.takeTheirs")}</PrimaryButton>
            <SecondaryButton onPress={() => dispatch({ type: "keepMine", version: theirs.version })}>
              {say("conflict.keepMine")}
            </SecondaryButton>
          </MarkRow>
        )}
      </Versions>
    </Dialogue>
  );
}

/** It was discarded meanwhile: opened again, it goes on with what stands here. */
function GoOn({ theirs, onOpen }: { theirs: FittingState; onOpen: (now: FittingState) => void }) {
  const reopen = useReopen(theirs.id);
  return (
    <>
      {reopen.error ? (
        <Notice tone="wrong">{refusal(reopen.error)?.message ?? say("conflict.reopenFailed")}</Notice>
      ) : null}
      <MarkRow>
        <PrimaryButton
          isDisabled={reopen.isPending}
          onPress={() => reopen.mutate(theirs.version, { onSuccess: onOpen })}
        >
          {say("conflict.reopenMine")}
        </PrimaryButton>
      </MarkRow>
    </>
  );
}
