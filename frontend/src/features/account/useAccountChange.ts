import { useMutation, useQueryClient } from "@tanstack/react-query";
import { complaintAt, postAuth, refusal } from "../../api/client";
import { say } from "../../lib/say";

/**
 * Something of one's own account, changed with today's password: path: what; field: its new value's, as it is sent;
 * clear: empties what was typed, once it was kept.
 */
export function useAccountChange(path: "password" | "pin", field: "new_password" | "pin", clear: () => void) {
  const queryClient = useQueryClient();
  const change = useMutation({
    mutationFn: (typed: Record<string, string>) => postAuth(path, typed),
    onSuccess: async () => {
      clear();
      await queryClient.invalidateQueries();
    },
  });
  const wrongPassword = complaintAt(change.error, "/password") ? say("pinPage.passwordWrong") : undefined;
  const unfit = complaintAt(change.error, `/${field}`);
  return {
    keep: change.mutate,
    busy: change.isPending,
    kept: change.isSuccess,
    wrongPassword,
    unfit,
    /** What stands at neither field. */
    wrong: wrongPassword || unfit ? undefined : refusal(change.error)?.message,
  };
}
