// The load, as it is pinned or plated here: the light set before it, one step up or down, belt and tempo, and how the last
// repetition went. One leg at a time where the machine allows it.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type Dispatch, useState } from "react";
import { Button } from "react-aria-components";
import styled from "styled-components";
import { loadsQuery } from "../../api/queries";
import type { FittingPage, Load, Sheet, Work } from "../../api/types";
import type { BenchEvent } from "../../model/bench";
import { parseNumber } from "../../model/lengths";
import { SecondaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Small } from "../../ui/Page";
import { colour, font, radius, size, space, target } from "../../ui/tokens";
import { Counts } from "./Counts";
import type { PacerState } from "./Pacer";
import { Panel, PanelTitle } from "./Panel";

const Stepper = styled.div`
  display: grid;
  grid-template-columns: ${target.step} 1fr ${target.step};
  gap: ${space(2)};
  align-items: center;
  text-align: center;
`;
const Step = styled(Button)`
  height: ${target.step};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.ground};
  font-size: ${size.title};
  line-height: 1;
  cursor: pointer;
  &[data-disabled] {
    opacity: 0.35;
  }
`;
const Figure = styled.output`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.title};
  line-height: 1.1;
  letter-spacing: -0.06em;
`;
const Wanted = styled.form`
  display: grid;
  grid-template-columns: 1fr auto;
  gap: ${space(2)};
  align-items: end;
`;

const LAST = [
  ["easy", "Easy"],
  ["clean", "Hard, clean"],
  ["not_reached", "Not reached"],
] as const;

type Props = {
  fitting: FittingPage;
  sheet: Sheet;
  /** the light set is at hand, not the working load */
  light: boolean;
  pacer: PacerState;
  dispatch: Dispatch<BenchEvent>;
};

export function LoadPanel({ fitting, sheet, light, pacer, dispatch }: Props) {
  const { work } = sheet;
  const queryClient = useQueryClient();
  const loads = useQuery(loadsQuery(fitting.id, work)).data;
  const write = (fields: Partial<Work>, load = sheet.load) =>
    dispatch({ type: "write", fields: { work: { ...work, ...fields }, load } });
  const take = (load: Load | null | undefined) => load && write({ load_kg: load.kg }, load.text);
  const nearest = async (kg: number) => {
    const answer = await queryClient.fetchQuery(loadsQuery(fitting.id, { ...work, load_kg: kg }));
    take(answer.load);
  };
  if (!loads) return <Panel aria-label="Load" />;
  return (
    <Panel aria-label="Load">
      {loads.kind === null ? (
        <Field
          label="Load"
          hint="As printed, such as 25 kg or pin 4. How this machine is loaded was not described yet."
          value={sheet.load}
          maxLength={40}
          autoComplete="off"
          onChange={(load) => dispatch({ type: "write", fields: { load } })}
        />
      ) : (
        <>
          {light && loads.light ? (
            <div data-light-set>
              <PanelTitle>Light set</PanelTitle>
              <Figure>{loads.light.text}</Figure>
              <p>{loads.light.how}</p>
            </div>
          ) : null}
          <div data-load>
            <PanelTitle>Working load</PanelTitle>
            <Stepper>
              <Step
                aria-label={loads.down ? `One step down, to ${loads.down.text}` : "Nothing lighter"}
                isDisabled={!loads.down || work.load_kg === null}
                onPress={() => take(loads.down)}
              >
                −
              </Step>
              <Figure aria-label="Working load" aria-live="polite">
                {work.load_kg === null ? "–" : loads.load?.text}
              </Figure>
              <Step
                aria-label={
                  work.load_kg === null
                    ? `Begin at the lightest, ${loads.load?.text}`
                    : loads.up
                      ? `One step up, to ${loads.up.text}`
                      : "Nothing heavier"
                }
                isDisabled={work.load_kg !== null && !loads.up}
                onPress={() => take(work.load_kg === null ? loads.load : loads.up)}
              >
                +
              </Step>
            </Stepper>
            <p>{loads.says ?? loads.load?.how}</p>
            {loads.felt ? <Small>{loads.felt}</Small> : null}
          </div>
          <WantedLoad unit={loads.unit ?? "kg"} onWant={(kg) => void nearest(kg)} />
        </>
      )}
      <Counts work={work} tempo={loads.tempo} seconds={loads.set_seconds} pacer={pacer} onChange={write} />
      {loads.belt ? <p data-belt={loads.belt.worn ? "on" : "off"}>{loads.belt.says}</p> : null}
      {light ? null : (
        <>
          <div>
            <Choice
              label="Last repetition"
              options={LAST}
              value={work.last ?? ("" as "easy")}
              onChange={(last) => write({ last })}
              stacked
            />
            {loads.next_time ? (
              <p data-next-time>
                Next time: {loads.next_time.text}. {loads.next_time.how}.
              </p>
            ) : null}
          </div>
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

const KG_PER_LB = 0.45359237;
const toKg = (value: number, unit: string) => (unit === "lb" ? value * KG_PER_LB : value);
const fromKg = (kg: number, unit: string) => Math.round((unit === "lb" ? kg / KG_PER_LB : kg) * 100) / 100;

function WantedLoad({ unit, onWant }: { unit: string; onWant: (kg: number) => void }) {
  const [text, setText] = useState("");
  const [problem, setProblem] = useState<string>();
  return (
    <Wanted
      onSubmit={(event) => {
        event.preventDefault();
        const wanted = parseNumber(text);
        setProblem(wanted === null || wanted > 1000 ? `A number of ${unit}, such as 25.` : undefined);
        if (wanted === null || wanted > 1000) return;
        onWant(toKg(wanted, unit));
        setText("");
      }}
    >
      <Field
        label={`Wanted, ${unit}`}
        value={text}
        onChange={setText}
        inputMode="decimal"
        autoComplete="off"
        complaint={problem}
      />
      <SecondaryButton type="submit">Nearest</SecondaryButton>
    </Wanted>
  );
}

const SIDES = [
  ["same", "Alike"],
  ["left", "Left harder"],
  ["right", "Right harder"],
] as const;

/** One leg at a time: what each lifts, and which side felt harder. */
function Sides({ work, unit, onChange }: { work: Work; unit: string; onChange: (fields: Partial<Work>) => void }) {
  const shown = (kg: number | null) => (kg === null ? "" : String(fromKg(kg, unit)));
  const [texts, setTexts] = useState({ left_kg: shown(work.left_kg), right_kg: shown(work.right_kg) });
  const typed = (side: "left_kg" | "right_kg", text: string) => {
    setTexts({ ...texts, [side]: text });
    const value = parseNumber(text);
    if (text.trim() === "" || (value !== null && value <= 1000))
      onChange({ [side]: value === null ? null : Math.round(toKg(value, unit) * 1000) / 1000 });
  };
  return (
    <details open={work.left_kg !== null || work.right_kg !== null}>
      <summary style={{ minHeight: target.least, cursor: "pointer", alignContent: "center" }}>
        One leg at a time
      </summary>
      <div style={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: space(2), marginBottom: space(3) }}>
        {(["left_kg", "right_kg"] as const).map((side) => (
          <Field
            key={side}
            label={side === "left_kg" ? `Left, ${unit}` : `Right, ${unit}`}
            value={texts[side]}
            inputMode="decimal"
            autoComplete="off"
            onChange={(text) => typed(side, text)}
          />
        ))}
      </div>
      <Choice
        label="Felt"
        options={SIDES}
        value={work.felt_side ?? ("" as "same")}
        onChange={(felt_side) => onChange({ felt_side })}
        stacked
      />
    </details>
  );
}
