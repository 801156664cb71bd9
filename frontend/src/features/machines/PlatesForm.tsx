// The gym's plates, by mass: how many pairs of each there are to load two sides alike.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { api, newKey, refusal, standing, unwrap } from "../../api/client";
import { platesQuery } from "../../api/queries";
import type { Plates } from "../../api/types";
import { parseNumber } from "../../model/lengths";
import { SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Small } from "../../ui/Page";
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
  > span > button {
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
  return <Loaded key={JSON.stringify(plates.data)} kept={plates.data} />;
}

const inWords = ({ plates }: Plates) => plates.map(({ mass_kg, pairs }) => `${mass_kg} × ${pairs}`).join(", ");

function Loaded({ kept }: { kept: Plates }) {
  const [text, setText] = useState(() => inWords(kept));
  // What a colleague kept in the meantime: shown, and overwritten only by keeping once more.
  const [theirs, setTheirs] = useState(kept);
  const [problem, setProblem] = useState<string>();
  const queryClient = useQueryClient();
  const keep = useMutation({
    mutationFn: (list: Plate[]) =>
      unwrap(api.PUT("/api/plates", { params: { header: newKey() }, body: { plates: list, version: theirs.version } })),
    onSuccess: (now) => queryClient.setQueryData(platesQuery.queryKey, now),
    onError: (thrown) => setTheirs(standing<Plates>(thrown) ?? theirs),
  });
  const submit = () => {
    const list = parsePlates(text);
    setProblem(list ? undefined : "A mass and how many pairs, such as 20 × 3, 10 × 2.");
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
        label="Plates, mass × pairs"
        hint="In kg, or with lb behind the mass: 20 × 3, 45 lb × 2."
        value={text}
        autoComplete="off"
        complaint={problem}
        onChange={setText}
      />
      <span>
        <SecondaryButton type="submit" isDisabled={keep.isPending}>
          Keep
        </SecondaryButton>
        <br />
        <Small role="status">{keep.isSuccess ? "Kept." : (refusal(keep.error)?.message ?? "")}</Small>
        {theirs === kept ? null : <Small> There now: {inWords(theirs) || "none"}.</Small>}
      </span>
    </Sheet>
  );
}
