// The gym's elastic bands: what each is called, its colour mostly, and how hard it pulls.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, newKey, unwrap } from "../../api/client";
import { bandsQuery } from "../../api/queries";
import type { Bands } from "../../api/types";
import { say } from "../../lib/say";
import { type Band, parseBands } from "../../model/equipmentDraft";
import { Field } from "../../ui/Field";
import { useWhole } from "../shared/useWhole";
import { OwnedForm } from "./OwnedForm";

export function BandsForm() {
  const bands = useQuery(bandsQuery);
  if (!bands.data) return null;
  return <Loaded first={bands.data} />;
}

const typed = ({ bands }: Bands) => bands.map(({ name, newton }) => `${name} ${newton}`).join(", ");
const inWords = (bands: Bands) => typed(bands) || say("bandsForm.none");

function Loaded({ first }: { first: Bands }) {
  const [text, setText] = useState(() => typed(first));
  const [problem, setProblem] = useState<string>();
  const keep = useWhole(first, {
    queryKey: bandsQuery.queryKey,
    put: (bands: Band[], version) =>
      unwrap(api.PUT("/api/bands", { params: { header: newKey() }, body: { bands, version } })),
    onKept: (kept) => setText(typed(kept)),
  });
  const submit = () => {
    const list = parseBands(text);
    setProblem(list ? undefined : say("bandsForm.listProblem"));
    if (list) keep.mutate(list);
  };
  return (
    <OwnedForm keep={keep} inWords={inWords} onSubmit={submit}>
      <Field
        label={say("bandsForm.listLabel")}
        hint={say("bandsForm.hint")}
        value={text}
        autoComplete="off"
        complaint={problem}
        onChange={setText}
      />
    </OwnedForm>
  );
}
