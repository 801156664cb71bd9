import { say } from "../../../lib/say";
import { useState } from "react";
import type { Work } from "../../../api/types";
import { parseNumber } from "../../../lib/lengths";
import { fromKg, toKg } from "../../../lib/loads";
import { Choice } from "../../../ui/Choice";
import { Field } from "../../../ui/Field";
import { space, target } from "../../../ui/tokens";

const SIDES = [
  ["same", say("sides.alike")],
  ["left", say("sides.leftHarder")],
  ["right", say("sides.rightHarder")],
] as const;

/** One leg at a time: what each lifts, and which side felt harder. */
export function Sides({
  work,
  unit,
  onChange,
}: {
  work: Work;
  unit: string;
  onChange: (fields: Partial<Work>) => void;
}) {
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
        {say("sides.oneLeg")}
      </summary>
      <div style={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: space(2), marginBottom: space(3) }}>
        {(["left_kg", "right_kg"] as const).map((side) => (
          <Field
            key={side}
            label={side === "left_kg" ? say("sides.leftUnit", { unit }) : say("sides.rightUnit", { unit })}
            value={texts[side]}
            inputMode="decimal"
            autoComplete="off"
            onChange={(text) => typed(side, text)}
          />
        ))}
      </div>
      <Choice
        label={say("sides.felt")}
        options={SIDES}
        value={work.felt_side ?? ("" as "same")}
        onChange={(felt_side) => onChange({ felt_side })}
        stacked
      />
    </details>
  );
}
