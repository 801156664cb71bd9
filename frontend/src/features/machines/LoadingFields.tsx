// How a machine is loaded: a stack with its marks, plates on both sides, or a sled on a rail; as printed, in kg or lb.
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
  ["", "Not described"],
  ["stack", "Stack and pin"],
  ["plates", "Plates, both sides"],
  ["sled", "Sled on a rail"],
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
        <Choice label="Loaded with" options={KINDS} value={loading.kind} onChange={(kind) => set({ kind })} />
        {loading.kind === "" ? null : (
          <Choice label="Printed in" options={UNITS} value={loading.unit} onChange={(unit) => set({ unit })} />
        )}
      </Row>
      {loading.kind === "stack" ? (
        <Row>
          <Field label="Masses on the stack" hint="As printed, such as 5-50 by 5, 60." {...field("masses")} />
          <Field label="Add-ons" hint="A dial or a loose plate, such as 2.5." {...field("addons")} />
          <Field label="Lever ratio" hint="Felt load over printed load, if known." {...field("ratio")} />
        </Row>
      ) : null}
      {loading.kind === "plates" || loading.kind === "sled" ? (
        <Row>
          <Field label={`Bare ${loading.kind === "sled" ? "sled" : "arm"}, ${loading.unit}`} {...field("bare")} />
          {loading.kind === "sled" ? <Field label="Rail from level (°)" {...field("incline")} /> : null}
        </Row>
      ) : null}
    </>
  );
}
