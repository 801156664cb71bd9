// A fitting that was let go, and the way back to it.
import { say } from "../../lib/say";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { useNavigate } from "react-router";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { SecondaryButton } from "../../ui/Button";
import { Notice } from "../../ui/Notice";

/** Opens it again; a fitting that was opened in its place stays, and this one closed. */
export function useReopen(id: string) {
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: (version: number) =>
      unwrap(api.POST("/api/fittings/{id}/return", { params: { path: { id }, header: newKey() }, body: { version } })),
    onSuccess: () => queryClient.invalidateQueries(),
  });
}

/** Said where it was let go; opened again, it takes that page's place, so that going back does not say it once more. */
export function Discarded({ id, version, children }: { id: string; version: number; children: ReactNode }) {
  const reopen = useReopen(id);
  const navigate = useNavigate();
  return (
    <div style={{ marginBottom: "1.5rem" }}>
      <Notice tone={reopen.error ? "wrong" : "calm"}>
        {reopen.error ? (refusal(reopen.error)?.message ?? say("discarded.reopenFailed")) : children}{" "}
        <SecondaryButton
          isDisabled={reopen.isPending}
          onPress={() =>
            reopen.mutate(version, { onSuccess: () => void navigate(`/fittings/${id}`, { replace: true }) })
          }
        >
          {say("discarded.reopen")}
        </SecondaryButton>
      </Notice>
    </div>
  );
}
