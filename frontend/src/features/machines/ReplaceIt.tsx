// The exchange itself: the old machine is retired, its record stays.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import type { MachinePage } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Notice } from "../../ui/Notice";

type Props = { id: string; page: MachinePage; other: { id: string; name: string } };

export function ReplaceIt({ id, page, other }: Props) {
  const [asking, setAsking] = useState(false);
  const queryClient = useQueryClient();
  const names = { old: page.machine.name, other: other.name };
  const replace = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/machines/{id}/replacement", {
          params: { path: { id }, header: newKey() },
          body: { instead: other.id, version: page.version },
        }),
      ),
    onSuccess: async (now) => {
      setAsking(false);
      queryClient.setQueryData(keys.machine(id), now);
      await queryClient.invalidateQueries({ queryKey: keys.machines });
    },
  });
  return (
    <>
      <PrimaryButton onPress={() => setAsking(true)}>{say("replaceIt.open", names)}</PrimaryButton>
      <Dialogue title={say("replaceIt.title", names)} isOpen={asking} onClose={() => setAsking(false)}>
        <p style={{ marginBottom: "1rem" }}>{say("replaceIt.what", names)}</p>
        {replace.error ? <Notice tone="wrong">{refusal(replace.error)?.message}</Notice> : null}
        <PrimaryButton isDisabled={replace.isPending} onPress={() => replace.mutate()}>
          {say("replaceIt.do")}
        </PrimaryButton>
      </Dialogue>
    </>
  );
}
