// A machine's adjusters: marks as printed, each as often used as its bar is long; the walk-round; a photograph.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { MachineAdjuster, MachineExercise, MachinePage } from "../../api/types";
import { lengthText, type LengthUnit } from "../../lib/lengths";
import { isEven } from "../../model/marks";
import { Small, Strong } from "../../ui/Page";
import { colour, font, radius, space } from "../../ui/tokens";
import { Photograph } from "./Photograph";

const List = styled.ul`
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: ${space(2)} ${space(4)};
    padding: ${space(4)};
  }
  > li + li {
    border-top: 1px solid ${colour.line};
  }
`;
const Marks = styled.ol`
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)};
  align-items: flex-end;
  li {
    display: grid;
    justify-items: center;
    align-content: end;
    min-width: 2.25rem;
  }
  b {
    padding: 0 ${space(1.5)};
    font-family: ${font.mark};
    line-height: 1.8;
    border: 1px solid ${colour.lineStrong};
    border-radius: ${radius};
    min-width: 2.25rem;
    text-align: center;
  }
`;
const Bar = styled.span<{ $share: number }>`
  width: 1rem;
  height: ${({ $share }) => `${Math.round($share * 30)}px`};
  background: ${colour.machineQuiet};
`;

type Props = { id: string; page: MachinePage; exercise: MachineExercise; unit: LengthUnit };

export function AdjusterList({ id, page, exercise, unit }: Props) {
  return (
    <List>
      {exercise.adjusters.map((adjuster) => (
        <li key={adjuster.label}>
          <span>
            <Strong>{adjuster.name}</Strong> {adjuster.shared ? <Small>{say("adjusterList.shared")}</Small> : null}
            <br />
            <Small>{[spacing(adjuster, unit), ...together(adjuster), ...walkRound(adjuster)].join(" · ")}</Small>
            {adjuster.unit === "mm" && adjuster.travel?.length === adjuster.marks.length ? (
              <>
                <br />
                <a href={scaleOf(id, exercise.name, adjuster.label)} target="_blank" rel="noreferrer">
                  <Small>{say("adjusterList.paperScale")}</Small>
                </a>
              </>
            ) : null}
          </span>
          <Photograph id={id} page={page} adjuster={adjuster.label} name={adjuster.name} />
          <MarkUse page={page} exercise={exercise} adjuster={adjuster} />
        </li>
      ))}
    </List>
  );
}

const scaleOf = (id: string, exercise: string, label: string) =>
  `/api/machines/${id}/scale.pdf?${new URLSearchParams({ exercise, adjuster: label }).toString()}`;

function MarkUse({
  page,
  exercise,
  adjuster,
}: {
  page: MachinePage;
  exercise: MachineExercise;
  adjuster: MachineAdjuster;
}) {
  const used = (mark: string) =>
    page.use.find((use) => use.exercise === exercise.name && use.label === adjuster.label && use.mark === mark)
      ?.count ?? 0;
  const most = Math.max(1, ...adjuster.marks.map(used));
  return (
    <Marks aria-label={say("adjusterList.caption", { name: adjuster.name })}>
      {adjuster.marks.map((mark) => (
        <li key={mark}>
          {used(mark) > 0 ? (
            <>
              <Small>{used(mark)}</Small>
              <Bar $share={used(mark) / most} />
            </>
          ) : null}
          <b>{mark}</b>
        </li>
      ))}
    </Marks>
  );
}

function spacing({ travel, unit: kind, marks, drives }: MachineAdjuster, unit: LengthUnit): string {
  if (drives.length === 0) return say("adjusterList.noteOnly");
  if (!travel) return say("adjusterList.notTaped");
  const whole = travel.at(-1) ?? 0;
  const words = kind === "deg" ? `${Math.abs(whole)}°` : lengthText(Math.abs(whole), unit);
  return say("adjusterList.span", {
    words,
    mark: marks[0],
    at: marks.at(-1),
    what: isEven(travel) ? "" : say("adjusterList.unevenly"),
  });
}

const together = ({ same_as: label }: MachineAdjuster): string[] =>
  label === null ? [] : [say("adjusterList.sameAs", { label })];

const walkRound = ({ walk_round: walk }: MachineAdjuster): string[] =>
  [
    walk.side,
    walk.handle ? say("adjusterList.handleHandle", { handle: walk.handle }) : "",
    walk.unlocks,
    walk.reachable_seated ? "" : say("adjusterList.outside"),
    walk.weight_off_first ? say("adjusterList.loadOff") : "",
    walk.both_sides ? say("adjusterList.bothSides") : "",
  ].filter((fact) => fact !== "");
