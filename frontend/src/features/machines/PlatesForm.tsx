// The gym's plates, by mass: how many pairs of each there are to load two sides alike.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { api, newKey, refusal, standing, unwrap } from "../../api/client";
import { platesQuery } from "../../api/queries";
import type { Plates } from "../../api/types";
import { parseNumber } from "../../lib/lengths";
import { SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { KeptOrNot } from "./KeptOrNot";
import { colour, radius, space } from "../../ui/tokens";

const Sheet = styled(Form)`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space(4)};
  align-items: start;
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  > button {
    margin-top: 1.75rem;
  }
`;

type Plate = { mass: number; unit: "kg" | "lb"; pairs: number };

/** "20 x 3, 45 lb x 2" to plates; null where something is none. */
export function parsePlates(typed: string): Plate[] | null {
  const plates = typed
    .split(/[;,]+/)
    .map((part) => part.trim())
    .filter((part) => part !== "")
    .map((part) => {
      const found = /^([\d.]+)\s*(kg|lb)?\s*[x×]\s*(\d{1,2})$/i.exec(part);
      const mass = found ? parseNumber(found[1] ?? "") : null;
      const pairs = Number(found?.[3]);
      if (mass === null || mass < 0.1 || mass > 100 || pairs < 1 || pairs > 20) return null;
      return { mass, unit: (found?.[2]?.toLowerCase() ?? "kg") as Plate["unit"], pairs };
    });
  return plates.every((plate) => plate !== null) && plates.length <= 12 ? plates : null;
}

export function PlatesForm() {
  const plates = useQuery(platesQuery);
  if (!plates.data) return null;
  return <Loaded first={plates.data} />;
}

const inWords = ({ plates }: Plates) => plates.map(({ mass_kg, pairs }) => `${mass_kg} × ${pairs}`).join(", ");

function Loaded({ first }: { first: Plates }) {
  const [text, setText] = useState(() => inWords(first));
  // What was seen here last: what a colleague kept since is overwritten only once it was shown.
  const [seen, setSeen] = useState(first);
  const [problem, setProblem] = useState<string>();
  const queryClient = useQueryClient();
  const keep = useMutation({
    mutationFn: (list: Plate[]) =>
      unwrap(api.PUT("/api/plates", { params: { header: newKey() }, body: { plates: list, version: seen.version } })),
    onSuccess: (kept) => {
      setSeen(kept);
      setText(inWords(kept));
      queryClient.setQueryData(platesQuery.queryKey, kept);
    },
    onError: (thrown) => setSeen(standing<Plates>(thrown) ?? seen),
  });
  const submit = () => {
    const list = parsePlates(text);
    setProblem(list ? undefined : say("platesForm.listHint"));
    if (list) keep.mutate(list);
  };
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <Field
        label={say("platesForm.listLabel")}
        hint={say("platesForm.unitHint")}
        value={text}
        autoComplete="off"
        complaint={problem}
        onChange={setText}
      />
      <SecondaryButton type="submit" isDisabled={keep.isPending}>
        {say("platesForm.keep")}
      </SecondaryButton>
      <KeptOrNot
        kept={keep.isSuccess}
        problem={refusal(keep.error)?.message}
        now={standing(keep.error) ? inWords(seen) || say("platesForm.none") : undefined}
      />
    </Sheet>
  );
}
