import { type QueryKey, useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { keys } from "../../api/keys";
import { standing } from "../../api/client";

type Versioned = { version: number };
type Ways<Whole extends Versioned, Typed> = {
  queryKey: QueryKey;
  put: (typed: Typed, version: number) => Promise<Whole>;
  onKept: (kept: Whole) => void;
};

/**
 * Keeps a table or a list of the gym whole, over the version that was seen. Where a colleague was quicker that is said,
 * and what is typed stays: kept again it goes over theirs.
 */
export function useWhole<Whole extends Versioned, Typed>(first: Whole, { queryKey, put, onKept }: Ways<Whole, Typed>) {
  const [version, setVersion] = useState(first.version);
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: (typed: Typed) => put(typed, version),
    onSuccess: (kept) => {
      setVersion(kept.version);
      onKept(kept);
      queryClient.setQueryData(queryKey, kept);
      void queryClient.invalidateQueries({ queryKey: keys.fittings });
    },
    onError: (thrown) => setVersion(standing<Whole>(thrown)?.version ?? version),
  });
}
