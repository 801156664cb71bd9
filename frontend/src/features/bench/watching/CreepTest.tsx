// The creep test: where the roller's edge lies on the shin at two to three arm angles says where the knee is.
import { say } from "../../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { type Dispatch, useState } from "react";
import styled from "styled-components";
import { refusal } from "../../../api/client";
import { creepQuery } from "../../../api/queries";
import type { FittingPage, Sheet } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { parseNumber } from "../../../lib/lengths";
import { seenAt } from "../../../model/sheet";
import { SecondaryButton } from "../../../ui/Button";
import { Field, FieldHint } from "../../../ui/Field";
import { Small, Strong } from "../../../ui/Page";
import { space, target } from "../../../ui/tokens";
import { Trail } from "./Trail";

const Summary = styled.summary`
  min-height: ${target.least};
  align-content: center;
  cursor: pointer;
`;
const Fields = styled.div`
  display: grid;
  gap: ${space(2)};
  margin: ${space(2)} 0;
`;

/** What a move is tried for, beside the signs. */
const CREEP_TEST = "creep_test";

type Props = { fitting: FittingPage; sheet: Sheet; dispatch: Dispatch<BenchEvent> };

export function CreepTest({ fitting, sheet, dispatch }: Props) {
  const { creep } = sheet;
  const readings = creep.readings ?? [];
  const readAt = (arm_deg: number) => readings.find((reading) => reading.arm_deg === arm_deg)?.reading_mm;
  const [texts, setTexts] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      fitting.creep_angles.map(({ name, arm_deg }) => {
        const mm = readAt(arm_deg);
        return [name, mm === undefined ? "" : String(mm / 10)];
      }),
    ),
  );
  const answer = useQuery(creepQuery(fitting.id, sheet));
  const type = (name: string, text: string) => {
    const all = { ...texts, [name]: text };
    setTexts(all);
    const read = fitting.creep_angles.flatMap((angle) => {
      const cm = parseNumber(all[angle.name] ?? "");
      return cm === null || cm > 100 ? [] : [{ arm_deg: angle.arm_deg, reading_mm: Math.round(cm * 10) }];
    });
    // Read at the marks that stand now, unless some of it was read before.
    const base = readings.length > 0 && creep.marks ? { marks: creep.marks, aids: creep.aids } : seenAt(sheet);
    dispatch({ type: "write", fields: { creep: read.length === 0 ? {} : { ...base, readings: read } } });
  };
  return (
    <details open={readings.length > 0} data-creep-test>
      <Summary>
        <Strong>{say("creepTest.creepTest")}</Strong>
      </Summary>
      <Small>{say("creepTest.instruction")}</Small>
      <Fields>
        {fitting.creep_angles.map(({ name, title }) => (
          <Field
            key={name}
            label={title}
            value={texts[name] ?? ""}
            inputMode="decimal"
            autoComplete="off"
            onChange={(text) => type(name, text)}
          />
        ))}
      </Fields>
      {readings.length === 1 ? <FieldHint>{say("creepTest.nextReading")}</FieldHint> : null}
      {answer.data && readings.length >= 2 ? (
        <div aria-live="polite" data-creep-answer>
          <p>{answer.data.says}</p>
          {answer.data.move ? (
            <SecondaryButton
              onPress={() =>
                answer.data?.move &&
                dispatch({
                  type: "try",
                  sign: CREEP_TEST,
                  adjuster: answer.data.move.adjuster,
                  to: answer.data.move.mark,
                })
              }
            >
              {answer.data.move.says}
            </SecondaryButton>
          ) : (
            <p>{say("creepTest.noMove")}</p>
          )}
        </div>
      ) : null}
      <Trail fitting={fitting} sheet={sheet} sign={CREEP_TEST} dispatch={dispatch} />
      {answer.error ? <p role="alert">{refusal(answer.error)?.message}</p> : null}
    </details>
  );
}
