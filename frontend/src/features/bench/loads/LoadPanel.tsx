// The load, as it is pinned or plated here: the light set before it, one step up or down, belt and tempo, and how the last
// repetition went. One leg at a time where the machine allows it.
import { say } from "../../../lib/say";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type Dispatch, useState } from "react";
import styled from "styled-components";
import { loadsQuery } from "../../../api/queries";
import type { FittingPage, Load, Quickens, Sheet, Work } from "../../../api/types";
import type { BenchEvent } from "../../../model/bench";
import { parseNumber } from "../../../lib/lengths";
import { toKg } from "../../../lib/loads";
import { SecondaryButton } from "../../../ui/Button";
import { Choice } from "../../../ui/Choice";
import { Field } from "../../../ui/Field";
import { space } from "../../../ui/tokens";
import { Counts } from "./Counts";
import type { PacerState } from "./Pacer";
import { Panel, PanelTitle } from "../Panel";
import { PrintedLoad } from "./PrintedLoad";
import { Sides } from "./Sides";
import { WorkingLoad } from "./WorkingLoad";

const Wanted = styled.form`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: ${space(2)};
  align-items: end;
`;

const LAST = [
  ["easy", say("loadPanel.easy")],
  ["clean", say("loadPanel.hardClean")],
  ["not_reached", say("loadPanel.notReached")],
] as const;

type Props = {
  fitting: FittingPage;
  sheet: Sheet;
  quickens: Quickens | null;
  /** the light set is at hand, not the working load */
  light: boolean;
  pacer: PacerState;
  dispatch: Dispatch<BenchEvent>;
};

export function LoadPanel({ fitting, sheet, quickens, light, pacer, dispatch }: Props) {
  const { work } = sheet;
  const queryClient = useQueryClient();
  const { data: loads, isPlaceholderData: earlier } = useQuery(loadsQuery(fitting.id, work));
  const write = (fields: Partial<Work>, load = sheet.load) =>
    dispatch({ type: "write", fields: { work: { ...work, ...fields }, load } });
  const take = (load: Load | null | undefined) => load && write({ load_kg: load.kg }, load.text);
  const nearest = async (kg: number) => {
    const answer = await queryClient.fetchQuery(loadsQuery(fitting.id, { ...work, load_kg: kg }));
    take(answer.load);
  };
  if (!loads) return <Panel aria-label={say("loadPanel.load")} />;
  return (
    <Panel aria-label={say("loadPanel.load")}>
      {loads.kind === null ? (
        <Field
          label={say("loadPanel.load")}
          hint={say("loadPanel.undescribedHint")}
          value={sheet.load}
          maxLength={40}
          autoComplete="off"
          onChange={(load) => dispatch({ type: "write", fields: { load } })}
        />
      ) : loads.kind === "body" ? (
        <p data-body-weight>{loads.says}</p>
      ) : (
        <>
          {light && loads.light ? (
            <div data-light-set>
              <PanelTitle>{say("loadPanel.lightSet")}</PanelTitle>
              <PrintedLoad load={loads.light} />
              <p>{loads.light.how}</p>
            </div>
          ) : null}
          <WorkingLoad loads={loads} work={work} written={sheet.load} settled={!earlier} onTake={take} />
        </>
      )}
      {light ? null : (
        <div>
          <Choice
            label={say("loadPanel.lastRepetition")}
            options={LAST}
            value={work.last ?? ("" as "easy")}
            onChange={(last) => write({ last })}
            stacked
          />
          {loads.next_time ? (
            <p data-next-time>
              {say("loadPanel.nextTime")} {loads.next_time.text}. {loads.next_time.how}.
            </p>
          ) : null}
        </div>
      )}
      {loads.kind === null || loads.kind === "body" ? null : (
        <WantedLoad unit={loads.unit ?? "kg"} onWant={(kg) => void nearest(kg)} />
      )}
      <Counts work={work} loads={loads} quickens={quickens} pacer={pacer} onChange={write} />
      {loads.belt ? <p data-belt={loads.belt.worn ? "on" : "off"}>{loads.belt.says}</p> : null}
      {light ? null : (
        <>
          {fitting.machine.one_leg ? <Sides work={work} unit={loads.unit ?? "kg"} onChange={write} /> : null}
          {loads.remarks.map((remark) => (
            <p key={remark} data-remark>
              {remark}
            </p>
          ))}
        </>
      )}
    </Panel>
  );
}

function WantedLoad({ unit, onWant }: { unit: string; onWant: (kg: number) => void }) {
  const [text, setText] = useState("");
  const [problem, setProblem] = useState<string>();
  return (
    <Wanted
      onSubmit={(event) => {
        event.preventDefault();
        const wanted = parseNumber(text);
        setProblem(wanted === null || wanted > 1000 ? say("loadPanel.massProblem", { unit }) : undefined);
        if (wanted === null || wanted > 1000) return;
        onWant(toKg(wanted, unit));
        setText("");
      }}
    >
      <Field
        label={say("loadPanel.wantedUnit", { unit })}
        value={text}
        onChange={setText}
        inputMode="decimal"
        autoComplete="off"
        complaint={problem}
      />
      <SecondaryButton type="submit">{say("loadPanel.nearest")}</SecondaryButton>
    </Wanted>
  );
}
