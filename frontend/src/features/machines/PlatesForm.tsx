// The gym's plates, by mass: how many pairs of each there are to load two sides alike.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, newKey, unwrap } from "../../api/client";
import { platesQuery } from "../../api/queries";
import type { Plates } from "../../api/types";
import { say } from "../../lib/say";
import { parsePlates, type Plate } from "../../model/equipmentDraft";
import { Field } from "../../ui/Field";
import { useWhole } from "../shared/useWhole";
import { OwnedForm } from "./OwnedForm";

export function PlatesForm() {
  const plates = useQuery(platesQuery);
  if (!plates.data) return null;
  return <Loaded first={plates.data} />;
}

const typed = ({ plates }: Plates) => plates.map(({ mass_kg, pairs }) => `${mass_kg} × ${pairs}`).join(", ");
const inWords = (plates: Plates) => typed(plates) || say("platesForm.none");

function Loaded({ first }: { first: Plates }) {
  const [text, setText] = useState(() => typed(first));
  const [problem, setProblem] = useState<string>();
  const keep = useWhole(first, {
    queryKey: platesQuery.queryKey,
    put: (plates: Plate[], version) =>
      unwrap(api.PUT("/api/plates", { params: { header: newKey() }, body: { plates, version } })),
    onKept: (kept) => setText(typed(kept)),
  });
  const submit = () => {
    const list = parsePlates(text);
    setProblem(list ? undefined : say("platesForm.listProblem"));
    if (list) keep.mutate(list);
  };
  return (
    <OwnedForm keep={keep} inWords={inWords} onSubmit={submit}>
      <Field
        label={say("platesForm.listLabel")}
        hint={say("platesForm.unitHint")}
        value={text}
        autoComplete="off"
        complaint={problem}
        onChange={setText}
      />
    </OwnedForm>
  );
}
