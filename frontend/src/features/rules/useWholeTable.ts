import { type QueryKey, useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { keys } from "../../api/keys";
import { standing } from "../../api/client";

type Versioned = { version: number };
type Ways<Table extends Versioned, Row> = {
  queryKey: QueryKey;
  put: (rows: Row[], version: number) => Promise<Table>;
  onKept: (kept: Table) => void;
};

/** Keeps a table whole, over the version that was seen. Where a colleague was quicker that is said, and what is typed stays: kept again it goes over theirs. */
export function useWholeTable<Table extends Versioned, Row>(first: Table, { queryKey, put, onKept }: Ways<Table, Row>) {
  const [version, setVersion] = useState(first.version);
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: (rows: Row[]) => put(rows, version),
    onSuccess: (kept) => {
      setVersion(kept.version);
      onKept(kept);
      queryClient.setQueryData(queryKey, kept);
      void queryClient.invalidateQueries({ queryKey: keys.fittings });
    },
    onError: (thrown) => setVersion(standing<Table>(thrown)?.version ?? version),
  });
}
