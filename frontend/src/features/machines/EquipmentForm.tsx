// Sizes of the cushions and pads that the gym owns, in mm: advised only where a machine's maker allows them.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, newKey, unwrap } from "../../api/client";
import { equipmentQuery } from "../../api/queries";
import type { Equipment, EquipmentSizes } from "../../api/types";
import { say } from "../../lib/say";
import { parseSizes } from "../../model/equipmentDraft";
import { Field } from "../../ui/Field";
import { useWhole } from "../shared/useWhole";
import { OwnedForm } from "./OwnedForm";

export function EquipmentForm() {
  const equipment = useQuery(equipmentQuery);
  if (!equipment.data) return null;
  return <Loaded first={equipment.data} />;
}

const inWords = ({ kinds }: Equipment) =>
  kinds.map(({ title, sizes }) => `${title.toLowerCase()} ${sizes.join(", ") || say("equipmentForm.none")}`).join("; ");

const typed = ({ kinds }: Equipment) => kinds.map(({ sizes }) => sizes.join(", "));

function Loaded({ first }: { first: Equipment }) {
  const [texts, setTexts] = useState(() => typed(first));
  const [problems, setProblems] = useState<(string | undefined)[]>([]);
  const keep = useWhole(first, {
    queryKey: equipmentQuery.queryKey,
    put: (sizes: EquipmentSizes["sizes"], version) =>
      unwrap(api.PUT("/api/equipment", { params: { header: newKey() }, body: { sizes, version } })),
    onKept: (kept) => setTexts(typed(kept)),
  });
  const submit = () => {
    const sizes = texts.map(parseSizes);
    setProblems(sizes.map((list) => (list ? undefined : say("equipmentForm.sizesProblem"))));
    if (sizes.every((list): list is number[] => list !== null))
      keep.mutate(Object.fromEntries(first.kinds.map(({ name }, at) => [name, sizes[at] ?? []])));
  };
  return (
    <OwnedForm keep={keep} inWords={inWords} onSubmit={submit}>
      {first.kinds.map(({ name, title, hint }, index) => (
        <Field
          key={name}
          label={title}
          hint={hint}
          value={texts[index] ?? ""}
          autoComplete="off"
          complaint={problems[index]}
          onChange={(text) => setTexts(texts.map((old, at) => (at === index ? text : old)))}
        />
      ))}
    </OwnedForm>
  );
}
