// What a file would do, row by row, before anything is changed.
import { useState } from "react";
import styled from "styled-components";
import type { ImportPage } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Small } from "../../ui/Page";
import { Table } from "../../ui/Table";
import { Tick } from "../../ui/Tick";
import { colour, font, radius, size, space } from "../../ui/tokens";
import type { Taking } from "./useIncoming";

const Counts = styled.dl`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)};
  margin-bottom: ${space(4)};
  > div {
    min-width: 7.5rem;
    padding: ${space(3)} ${space(4)};
    border: 1px solid ${colour.line};
    border-radius: ${radius};
    background: ${colour.panel};
  }
  dt {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
  dd {
    font-family: ${font.mark};
    font-size: ${size.title};
  }
  [data-refused] dd {
    color: ${colour.off};
  }
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)};
  margin: ${space(4)} 0;
`;
const Scrolls = styled.div`
  max-height: 26rem;
  overflow: auto;
`;

const ACTIONS = { add: say("exchange.added"), change: say("exchange.changed"), refuse: say("exchange.refused") };

type Props = { page: ImportPage; busy: boolean; onTake: (taking: Taking) => void; onStop: () => void };

export function LookedThrough({ page, busy, onTake, onStop }: Props) {
  const [leaveRefused, setLeaveRefused] = useState(false);
  const [untilAsked, setUntilAsked] = useState(true);
  const { add, change, same, refuse } = page.counts;
  // An archive, and marks, which belong together by machine: all of it or nothing.
  const whole = page.kind === "gym" || page.kind === "marks";
  const people = page.kind === "clients" && add > 0;
  const nothing = add + change === 0;
  return (
    <>
      <Counts>
        {(
          [
            [say("exchange.added"), add, undefined],
            [say("exchange.changed"), change, undefined],
            [say("exchange.same"), same, undefined],
            [say("exchange.refused"), refuse, refuse > 0 ? "" : undefined],
          ] as const
        ).map(([name, count, refused]) => (
          <div key={name} data-refused={refused}>
            <dt>{name}</dt>
            <dd>{count}</dd>
          </div>
        ))}
      </Counts>
      {page.encoding && page.encoding !== "UTF-8" ? (
        <p>
          <Small>{say("exchange.readAs", { encoding: page.encoding })}</Small>
        </p>
      ) : null}
      {page.unknown.length > 0 ? (
        <Notice>{say("exchange.unknown", { columns: page.unknown.join(", ") })}</Notice>
      ) : null}
      {page.health_notes === false ? <Notice tone="wrong">{say("exchange.archiveBars")}</Notice> : null}
      {people ? (
        <Tick isSelected={untilAsked} onChange={setUntilAsked}>
          {say("exchange.untilAsked", { count: add })}
        </Tick>
      ) : null}
      {refuse > 0 && !whole && !nothing ? (
        <Tick isSelected={leaveRefused} onChange={setLeaveRefused}>
          {say("exchange.leaveRefused", { count: refuse })}
        </Tick>
      ) : null}
      <Ways>
        {nothing ? (
          <Notice>{say("exchange.nothingToTake")}</Notice>
        ) : (
          <PrimaryButton
            isDisabled={busy || (refuse > 0 && (whole || !leaveRefused))}
            onPress={() => onTake({ leaveRefused, untilAsked: people && untilAsked })}
          >
            {say("exchange.takeAllIn", { count: add + change })}
          </PrimaryButton>
        )}
        <SecondaryButton onPress={onStop}>{say("exchange.letGo")}</SecondaryButton>
      </Ways>
      {page.told.length > 0 ? (
        <Scrolls tabIndex={0} role="region" aria-label={say("exchange.rowsTitle")}>
          <Table aria-label={say("exchange.rowsTitle")}>
            <thead>
              <tr>
                <th>{say("exchange.row")}</th>
                <th>{say("exchange.what")}</th>
                <th>{say("exchange.about")}</th>
                <th>{say("exchange.why")}</th>
              </tr>
            </thead>
            <tbody>
              {page.told.map((row, index) => (
                <tr key={index}>
                  <td>{row.line}</td>
                  <td>{ACTIONS[row.action]}</td>
                  <td>{row.about}</td>
                  <td>
                    {row.column ? <small>{row.column.replace(/^\//, "").replaceAll("_", " ")}</small> : null}
                    {row.says}
                  </td>
                </tr>
              ))}
            </tbody>
          </Table>
        </Scrolls>
      ) : null}
    </>
  );
}
