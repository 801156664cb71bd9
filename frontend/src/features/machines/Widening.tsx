// Which single change of a machine would bring more of the gym's people in line: asked by a press, as it takes seconds.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { wideningQuery } from "../../api/queries";
import type { ExerciseName } from "../../api/types";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Empty, Rows, Small, Strong } from "../../ui/Page";
import { PrintPage } from "../../ui/PrintPage";
import { space } from "../../ui/tokens";

const Change = styled.li`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: ${space(4)};
  padding: ${space(3)} ${space(4)};
`;

export function Widening({ id, exercise, version }: { id: string; exercise: ExerciseName; version: number }) {
  const [wanted, setWanted] = useState(false);
  const found = useQuery(wideningQuery(id, exercise, version, wanted));
  if (!wanted)
    return (
      <p style={{ marginTop: space(3) }}>
        <SecondaryButton onPress={() => setWanted(true)}>{say("widening.ask")}</SecondaryButton>
      </p>
    );
  if (found.error) return <Notice tone="wrong">{refusal(found.error)?.message}</Notice>;
  if (!found.data) return <Empty>{say("whoFits.trying")}</Empty>;
  const { in_line: inLine, asked, changes } = found.data;
  return (
    <div style={{ marginTop: space(4) }} data-widening aria-live="polite">
      <p>{say("widening.today", { count: inLine, asked })}</p>
      {changes.length === 0 ? (
        <Empty>{say("widening.nothing")}</Empty>
      ) : (
        <Rows style={{ margin: `${space(3)} 0` }}>
          {changes.map(({ says, people }) => (
            <Change key={says}>
              <span>{says}</span>
              <Strong>{say("widening.more", { count: people })}</Strong>
            </Change>
          ))}
        </Rows>
      )}
      <Small>{say("widening.note")}</Small>
      <PrintPage />
    </div>
  );
}
