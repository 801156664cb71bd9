// Sizes of the cushions and pads that the gym owns, in mm: advised only where a machine's maker allows them.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { api, newKey, refusal, standing, unwrap } from "../../api/client";
import { equipmentQuery } from "../../api/queries";
import type { Equipment, EquipmentSizes } from "../../api/types";
import { parseNumber } from "../../lib/lengths";
import { SecondaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { KeptOrNot } from "./KeptOrNot";
import { breakpoint, colour, radius, space } from "../../ui/tokens";

const Sheet = styled(Form)`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
  gap: ${space(4)};
  align-items: start;
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  > button {
    margin-top: 1.75rem;
  }
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

export function EquipmentForm() {
  const equipment = useQuery(equipmentQuery);
  if (!equipment.data) return null;
  return <Loaded first={equipment.data} />;
}

const inWords = ({ kinds }: Equipment) =>
  kinds.map(({ title, sizes }) => `${title.toLowerCase()} ${sizes.join(", ") || say("equipmentForm.none")}`).join("; ");

/** "20, 40" to [20, 40]; null where something is no size. */
function sizesOf(text: string): number[] | null {
  const sizes = text
    .split(/[,;\s]+/)
    .filter((part) => part !== "")
    .map(parseNumber);
  return sizes.every((size) => size !== null && size >= 1 && size <= 200)
    ? [...new Set(sizes as number[])].sort((one, other) => one - other)
    : null;
}

const typed = ({ kinds }: Equipment) => kinds.map(({ sizes }) => sizes.join(", "));

function Loaded({ first }: { first: Equipment }) {
  const [texts, setTexts] = useState(() => typed(first));
  const [problems, setProblems] = useState<(string | undefined)[]>([]);
  // What was seen here last: what a colleague kept since is overwritten only once it was shown.
  const [seen, setSeen] = useState(first);
  const queryClient = useQueryClient();
  const keep = useMutation({
    mutationFn: (body: EquipmentSizes) => unwrap(api.PUT("/api/equipment", { params: { header: newKey() }, body })),
    onSuccess: (kept) => {
      setSeen(kept);
      setTexts(typed(kept));
      queryClient.setQueryData(equipmentQuery.queryKey, kept);
    },
    onError: (thrown) => setSeen(standing<Equipment>(thrown) ?? seen),
  });
  const submit = () => {
    const sizes = texts.map(sizesOf);
    setProblems(sizes.map((list) => (list ? undefined : say("equipmentForm.thicknessHint"))));
    if (sizes.every((list): list is number[] => list !== null))
      keep.mutate({
        sizes: Object.fromEntries(first.kinds.map(({ name }, at) => [name, sizes[at] ?? []])),
        version: seen.version,
      });
  };
  return (
    <Sheet
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
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
      <SecondaryButton type="submit" isDisabled={keep.isPending}>
        {say("equipmentForm.keep")}
      </SecondaryButton>
      <KeptOrNot
        kept={keep.isSuccess}
        problem={refusal(keep.error)?.message}
        now={standing(keep.error) ? inWords(seen) : undefined}
      />
    </Sheet>
  );
}
