// The load, as it is pinned or plated here: the light set before it, one step up or down, belt and tempo, and how the last
// repetition went. One leg at a time where the machine allows it.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type Dispatch, useState } from "react";
import styled from "styled-components";
import { loadsQuery } from "../../api/queries";
import type { FittingPage, Load, Sheet, Work } from "../../api/types";
import type { BenchEvent } from "../../model/bench";
import { parseNumber } from "../../model/lengths";
import { toKg } from "../../model/loads";
import { SecondaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Small } from "../../ui/Page";
import { StepButton, Stepper } from "../../ui/StepButton";
import { font, size, space, target } from "../../ui/tokens";
import { Counts } from "./Counts";
import type { PacerState } from "./Pacer";
import { Panel, PanelTitle } from "./Panel";
import { Sides } from "./Sides";

const Figure = styled.output`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.title};
  line-height: 1.1;
  letter-spacing: -0.06em;
  white-space: nowrap;
  small {
    font-family: ${font.text};
    font-size: ${size.text};
    letter-spacing: 0;
  }
`;
const Begin = styled(SecondaryButton)`
  width: 100%;
  min-height: ${target.step};
  margin-bottom: ${space(2)};
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
  const { data: loads, isPlaceholderData: earlier } = useQuery(loadsQuery(fitting.id, work));
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
              <Figure>
                <Printed load={loads.light} />
              </Figure>
              <p>{loads.light.how}</p>
            </div>
          ) : null}
          <div data-load>
            <PanelTitle>Working load</PanelTitle>
            {!earlier && work.load_kg !== null && loads.load && !sameLoad(loads.load.kg, work.load_kg) ? (
              <Begin onPress={() => take(loads.load)}>
                Take {loads.load.text}, not {sheet.load}
              </Begin>
            ) : work.load_kg === null || !loads.load ? (
              <Begin onPress={() => take(loads.load)}>
                Begin at the lightest, <span style={{ whiteSpace: "nowrap" }}>{loads.load?.text}</span>
              </Begin>
            ) : (
              <Stepper>
                <StepButton
                  aria-label={loads.down ? `One step down, to ${loads.down.text}` : "Nothing lighter"}
                  isDisabled={!loads.down}
                  onPress={() => take(loads.down)}
                >
                  −
                </StepButton>
                <Figure aria-label="Working load" aria-live="polite">
                  <Printed load={loads.load} />
                </Figure>
                <StepButton
                  aria-label={loads.up ? `One step up, to ${loads.up.text}` : "Nothing heavier"}
                  isDisabled={!loads.up}
                  onPress={() => take(loads.up)}
                >
                  +
                </StepButton>
              </Stepper>
            )}
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

/** What is written down is what can be loaded: a clinician may allow less since, or the stack was described anew. */
const sameLoad = (one_kg: number, other_kg: number) => Math.abs(one_kg - other_kg) < 0.01;

/** As printed, the unit smaller than its number. */
function Printed({ load }: { load: Load }) {
  const [number, unit] = load.text.split(" ");
  return (
    <>
      {number}
      <small> {unit}</small>
    </>
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
