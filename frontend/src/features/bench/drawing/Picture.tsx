// The middle of the bench: the side view with its lens where the arm is taped, the lens alone where only the seat is, and
// where nothing is, what can be done all the same.
import { say } from "../../../lib/say";
import { type ReactNode, Suspense } from "react";
import styled from "styled-components";
import type { Evaluation, MachineOnBench, Quickens, Scene } from "../../../api/types";
import { PlateFront } from "../../../scene/PlateFront";
import { usePosed } from "../../../scene/usePosed";
import { PivotLens, REACH_MM } from "../../../scene/PivotLens";
import { SceneDrawing } from "../../../scene/SceneDrawing";
import { Travel } from "../../../scene/Travel";
import { SecondaryLink } from "../../../ui/LinkButton";
import { part } from "../../../ui/part";
import { breakpoint, colour, radius, size, space } from "../../../ui/tokens";

const EffortCurve = part(() => import("../../../scene/EffortCurve").then(({ EffortCurve }) => EffortCurve));

const Alone = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
`;
const Stage = styled.div`
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
  > div:first-child {
    position: relative;
    min-height: 0;
  }
`;
/** Beside it the plate from the front keeps its room. */
const Side = styled.div`
  height: 100%;
  padding-right: 10rem;
  @media ${breakpoint.phone} {
    padding-right: 4rem;
  }
`;
const Front = styled.div`
  position: absolute;
  top: ${space(1)};
  right: ${space(3)};
  width: 18rem;
  height: min(17rem, 62%);
  @media ${breakpoint.phone} {
    width: 9rem;
    height: 10rem;
  }
`;
/** Where the drawing stands so that a corner is free. */
const SIDES = { bottom_right: "left", top_left: "right", none: "middle" } as const;
const Corner = styled.div<{ $at: "bottom_right" | "top_left" }>`
  position: absolute;
  ${({ $at }) => ($at === "top_left" ? "top: 0; left: 0" : "bottom: 0; right: 0")};
  width: ${({ $at }) => ($at === "top_left" ? "min(17.5rem, 44%)" : "min(22rem, 52%)")};
  padding: ${space(1)} ${space(2)};
  pointer-events: none;
  @media ${breakpoint.phone} {
    position: static;
    width: 100%;
  }
`;
/** The slider, and beside it the curve of the effort where there is one. */
const Moved = styled.div<{ $beside: boolean }>`
  display: grid;
  grid-template-columns: ${({ $beside }) => ($beside ? "minmax(0, 1fr) minmax(0, 22rem)" : "minmax(0, 1fr)")};
  align-items: end;
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
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
  /** something placed elsewhere, by a touch on the picture */
  onPlace: (choice: string, mm: number) => void;
  /** what is done where the movement stands, at a share of it */
  found: (share: number) => ReactNode;
};
type MovingProps = {
  scene: Scene;
  /** share of the movement up to which it begins slowly; null where it does not, or none is told */
  slowTo: number | null;
  description: string;
  lens: ReactNode;
  onPlace: Props["onPlace"];
  found: Props["found"];
};

export function Picture({ machine, evaluation, lensLabel, seenOffMm, onPlace, found }: Props) {
  const { scene, targets } = evaluation;
  const [target] = targets;
  if (!scene && !target) return <NotTaped machine={machine} />;
  const name = machine.adjusters.find((adjuster) => adjuster.label === lensLabel)?.name ?? null;
  const joint = target?.joint ?? say("picture.knee");
  const lens = target ? (
    <PivotLens
      target={target}
      seenOffMm={seenOffMm}
      places={(lensLabel ? target.places[lensLabel] : undefined) ?? []}
      mark={lensLabel ? evaluation.marks[lensLabel] : undefined}
      title={
        name
          ? say("picture.sketchName", { name: name.toLowerCase(), joint })
          : say("picture.whereTheKneeLies", { joint })
      }
      description={target.says[lensLabel ?? ""] ?? target.says[""] ?? ""}
    />
  ) : null;
  if (!scene)
    return (
      <Alone viewBox={`${-REACH_MM - 90} ${-REACH_MM - 40} ${2 * REACH_MM + 180} ${2 * REACH_MM + 80}`}>{lens}</Alone>
    );
  const quickens = evaluation.quickens ?? null;
  const description = [evaluation.says, quickens?.says].filter(Boolean).join(" ");
  return (
    <Moving
      scene={
        quickens
          ? { ...scene, parts: [...scene.parts, ...quickens.parts], dimensions: withShown(scene, quickens) }
          : scene
      }
      slowTo={quickens?.share ?? null}
      description={description}
      lens={lens}
      onPlace={onPlace}
      found={found}
    />
  );
}

const withShown = ({ dimensions }: Scene, { shown }: Quickens) => (shown ? [...dimensions, shown] : dimensions);

/** A picture whose moving parts can be moved by hand, with the plate from the front beside it where there is one. */
function Moving({ scene, slowTo, description, lens, onPlace, found }: MovingProps) {
  const { poses, at, pose, shown, setAt } = usePosed(scene);
  const plate = scene.plate;
  const { curve } = scene;
  const side = plate ? "left" : SIDES[curve?.corner ?? "none"];
  const drawing = <SceneDrawing scene={shown} description={description} lens={lens} side={side} />;
  const effort = curve ? (
    <Suspense fallback={null}>
      <EffortCurve curve={curve} pose={pose} />
    </Suspense>
  ) : null;
  if (poses.length === 0) return drawing;
  return (
    <Stage>
      <div>
        {plate ? (
          <>
            <Side>{drawing}</Side>
            <Front>
              <PlateFront plate={plate} onPlace={(mm) => onPlace(plate.choice, mm)} />
            </Front>
          </>
        ) : (
          drawing
        )}
        {curve?.corner ? <Corner $at={curve.corner}>{effort}</Corner> : null}
      </div>
      <Moved $beside={Boolean(curve && !curve.corner)}>
        <Travel
          poses={poses}
          ends={scene.ends ?? []}
          at={at}
          slowTo={slowTo}
          effort={scene.effort ?? null}
          onChange={setAt}
        >
          {found(pose?.share ?? 0)}
        </Travel>
        {curve?.corner ? null : effort}
      </Moved>
    </Stage>
  );
}

function NotTaped({ machine }: { machine: MachineOnBench }) {
  return (
    <Untaped>
      <h2>{say("picture.untapedTitle")}</h2>
      <p>{say("picture.untapedHint")}</p>
      <SecondaryLink to={`/machines/${machine.id}/tape`}>{say("picture.tapeLink")}</SecondaryLink>
    </Untaped>
  );
}
