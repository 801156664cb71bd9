// How a machine is loaded: a stack with its marks, plates on both sides, or a sled on a rail; as printed, in kg or lb.
import { say } from "../../lib/say";
import styled from "styled-components";
import type { LoadingDraft } from "../../model/loadingDraft";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { breakpoint, space } from "../../ui/tokens";

const Row = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${space(4)};
  align-items: start;
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const KINDS = [
  ["", say("loadingFields.notDescribed")],
  ["stack", say("loadingFields.stackKind")],
  ["plates", say("loadingFields.platesBothSides")],
  ["sled", say("loadingFields.sledKind")],
] as const;
const REACHES = [
  ["", say("loadingFields.notLooked")],
  ["yes", say("loadingFields.pinFromSeat")],
  ["no", say("loadingFields.pinNotFromSeat")],
] as const;
const UNITS = [
  ["kg", "kg"],
  ["lb", "lb"],
] as const;

type Props = { loading: LoadingDraft; problems: Record<string, string>; onChange: (loading: LoadingDraft) => void };

export function LoadingFields({ loading, problems, onChange }: Props) {
  const set = (fields: Partial<LoadingDraft>) => onChange({ ...loading, ...fields });
  const field = (name: "masses" | "addons" | "ratio" | "bare" | "incline") => ({
    value: loading[name],
    onChange: (text: string) => set({ [name]: text }),
    complaint: problems[name],
    autoComplete: "off" as const,
  });
  return (
    <>
      <Row style={{ gridTemplateColumns: "auto auto", justifyContent: "start" }}>
        <Choice
          label={say("loadingFields.loadedWith")}
          options={KINDS}
          value={loading.kind}
          onChange={(kind) => set({ kind })}
        />
        {loading.kind === "" ? null : (
          <Choice
            label={say("loadingFields.printedIn")}
            options={UNITS}
            value={loading.unit}
            onChange={(unit) => set({ unit })}
          />
        )}
      </Row>
      {loading.kind === "stack" ? (
        <Row>
          <Field label={say("loadingFields.stackLabel")} hint={say("loadingFields.stackHint")} {...field("masses")} />
          <Field label={say("loadingFields.addOns")} hint={say("loadingFields.addOnHint")} {...field("addons")} />
          <Field label={say("loadingFields.leverRatio")} hint={say("loadingFields.ratioHint")} {...field("ratio")} />
          <Choice
            label={say("loadingFields.pinReached")}
            options={REACHES}
            value={loading.reach}
            onChange={(reach) => set({ reach })}
          />
        </Row>
      ) : null}
      {loading.kind === "plates" || loading.kind === "sled" ? (
        <Row>
          <Field
            label={say("loadingFields.bareLabel", {
              what: loading.kind === "sled" ? say("loadingFields.sled") : say("loadingFields.arm"),
              unit: loading.unit,
            })}
            {...field("bare")}
          />
          <Choice
            label={say("loadingFields.plates")}
            options={[
              ["2", say("loadingFields.onBothSides")],
              ["1", say("loadingFields.onOneHorn")],
            ]}
            value={loading.horns}
            onChange={(horns) => set({ horns: horns === "1" ? "1" : "2" })}
          />
          {loading.kind === "sled" ? <Field label={say("loadingFields.railLabel")} {...field("incline")} /> : null}
        </Row>
      ) : null}
    </>
  );
}
