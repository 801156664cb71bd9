// Whether the steps of the bench are folded away: a choice of whoever is signed in, kept with them, and one press away.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, newKey, unwrap } from "../../api/client";
import { meQuery } from "../../api/queries";
import type { Staff } from "../../api/types";

export function useShortBench(me: Staff) {
  const queryClient = useQueryClient();
  const choose = useMutation({
    mutationFn: (short_bench: boolean) =>
      unwrap(api.PUT("/api/me", { params: { header: newKey() }, body: { short_bench } })),
    // At once, whether or not the server is reached: what is typed on the bench stays where it is.
    onMutate: (short_bench) => queryClient.setQueryData(meQuery.queryKey, { ...me, short_bench }),
  });
  return { chosen: me.short_bench, toggle: () => choose.mutate(!me.short_bench) };
}
