// One line of text for a list that the gym owns (plates, bands): read when it is kept, and as it was typed until then.
import type { QueryKey } from "@tanstack/react-query";
import { useState } from "react";
import { Field } from "../../ui/Field";
import { useWhole } from "../shared/useWhole";
import { OwnedForm } from "./OwnedForm";

type Props<Whole, Item> = {
  first: Whole;
  queryKey: QueryKey;
  typed: (whole: Whole) => string;
  /** null where something is none */
  parse: (text: string) => Item[] | null;
  put: (list: Item[], version: number) => Promise<Whole>;
  words: { label: string; hint: string; problem: string; none: string };
};

export function OwnedList<Whole extends { version: number }, Item>(props: Props<Whole, Item>) {
  const { first, queryKey, typed, parse, put, words } = props;
  const [text, setText] = useState(() => typed(first));
  const [problem, setProblem] = useState<string>();
  const keep = useWhole(first, { queryKey, put, onKept: (kept) => setText(typed(kept)) });
  const submit = () => {
    const list = parse(text);
    setProblem(list ? undefined : words.problem);
    if (list) keep.mutate(list);
  };
  return (
    <OwnedForm keep={keep} inWords={(whole: Whole) => typed(whole) || words.none} onSubmit={submit}>
      <Field
        label={words.label}
        hint={words.hint}
        value={text}
        autoComplete="off"
        complaint={problem}
        onChange={setText}
      />
    </OwnedForm>
  );
}
