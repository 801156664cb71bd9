import { say } from "../../../lib/say";
import type { Loads, Quickens, Work } from "../../../api/types";
import { SecondaryButton } from "../../../ui/Button";
import { Select } from "../../../ui/Select";
import { Small } from "../../../ui/Page";
import { space } from "../../../ui/tokens";
import type { PacerState } from "./Pacer";
import { PanelTitle } from "../Panel";

const numbers = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, index) => [String(from + index), String(from + index)] as const);
const REPETITIONS = numbers(1, 30);
const SETS = numbers(1, 8);
const NO_AIM = "";
const USUAL = { repetitions: 10, sets: 2 };

type Props = {
  work: Work;
  loads: Pick<Loads, "tempo" | "set_seconds" | "aims">;
  quickens: Quickens | null;
  pacer: PacerState;
  onChange: (fields: Partial<Work>) => void;
};

/** Sets and repetitions, and the pacer that counts them across the room. */
export function Counts({ work, loads, quickens, pacer, onChange }: Props) {
  const { tempo, set_seconds: seconds, aims } = loads;
  const repetitions = work.repetitions ?? USUAL.repetitions;
  return (
    <div>
      <PanelTitle>{say("counts.tempo", { tempo: tempo.says })}</PanelTitle>
      {quickens ? <p data-quickens>{quickens.says}</p> : null}
      <Small>{say("counts.tempoTold", { seconds: Math.round(seconds) })}</Small>
      <Select
        label={say("counts.aim")}
        options={[[NO_AIM, say("counts.noAim")], ...aims.map(({ name }) => [name, name] as const)]}
        value={aims.some(({ name }) => name === work.aim) ? (work.aim ?? NO_AIM) : NO_AIM}
        onChange={(name) => {
          const aim = aims.find((one) => one.name === name);
          onChange(aim ? { aim: name, sets: aim.sets, repetitions: aim.repetitions ?? repetitions } : { aim: null });
        }}
      />
      <div style={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: space(2), margin: `${space(2)} 0` }}>
        <Select
          label={say("counts.sets")}
          options={SETS}
          value={String(work.sets ?? USUAL.sets)}
          onChange={(sets) => onChange({ sets: Number(sets) })}
        />
        <Select
          label={say("counts.repetitions")}
          options={REPETITIONS}
          value={String(repetitions)}
          onChange={(count) => onChange({ repetitions: Number(count) })}
        />
      </div>
      <SecondaryButton style={{ width: "100%" }} onPress={() => pacer.start(tempo, repetitions)}>
        {pacer.running ? say("counts.restart") : say("counts.paceButton")}
      </SecondaryButton>
    </div>
  );
}
