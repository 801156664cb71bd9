// The middle of the bench: the side view with its lens where the arm is taped, the lens alone where only the seat is, and
// where nothing is, what can be done all the same.
import { say } from "../../../lib/say";
import styled from "styled-components";
import type { Evaluation, MachineOnBench } from "../../../api/types";
import { PivotLens, REACH_MM } from "../../../scene/PivotLens";
import { SceneDrawing } from "../../../scene/SceneDrawing";
import { SecondaryLink } from "../../../ui/LinkButton";
import { colour, radius, size, space } from "../../../ui/tokens";

const Alone = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
`;
const Untaped = styled.div`
  align-self: center;
  justify-self: center;
  max-width: 30rem;
  margin: ${space(6)};
  padding: ${space(6)};
  display: grid;
  gap: ${space(3)};
  justify-items: start;
  border: 1px dashed ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  h2 {
    font-size: ${size.large};
  }
`;

type Props = {
  machine: MachineOnBench;
  evaluation: Evaluation;
  lensLabel: string | undefined;
  seenOffMm: number | null;
};

export function Picture({ machine, evaluation, lensLabel, seenOffMm }: Props) {
  const { scene, targets } = evaluation;
  const [target] = targets;
  if (!scene && !target) return <NotTaped machine={machine} />;
  const name = machine.adjusters.find((adjuster) => adjuster.label === lensLabel)?.name ?? null;
  const lens = target ? (
    <PivotLens
      target={target}
      seenOffMm={seenOffMm}
      places={(lensLabel ? target.places[lensLabel] : undefined) ?? []}
      mark={lensLabel ? evaluation.marks[lensLabel] : undefined}
      title={
        name ? say("picture.whereEachNameMarkPuts", { name: name.toLowerCase() }) : say("picture.whereTheKneeLies")
      }
      description={target.says[lensLabel ?? ""] ?? target.says[""] ?? ""}
    />
  ) : null;
  if (!scene)
    return (
      <Alone viewBox={`${-REACH_MM - 90} ${-REACH_MM - 40} ${2 * REACH_MM + 180} ${2 * REACH_MM + 80}`}>{lens}</Alone>
    );
  return <SceneDrawing scene={scene} description={evaluation.says} lens={lens} />;
}

function NotTaped({ machine }: { machine: MachineOnBench }) {
  return (
    <Untaped>
      <h2>{say("picture.thisMachineIsNotTaped")}</h2>
      <p>{say("picture.setEachMarkByEye")}</p>
      <SecondaryLink to={`/machines/${machine.id}/tape`}>{say("picture.tapeItAboutFiveMinutes")}</SecondaryLink>
    </Untaped>
  );
}
