import { say } from "../../../lib/say";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { keys } from "../../../api/keys";
import { api, newKey, refusal, unwrap } from "../../../api/client";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../../ui/Button";
import { Dialogue } from "../../../ui/Dialogue";
import { MarkRow } from "../../../ui/MarkTag";
import { Notice } from "../../../ui/Notice";
import { type DraftKey, forgetUnsaved } from "./useDraft";

/** Lets a fitting go that was opened by mistake, after asking: what was accepted before stays on the card, and it can
 *  be opened again for a week. */
export function Discard({ draft, clientId, version }: { draft: DraftKey; clientId: string; version: number }) {
  const id = draft.fitting;
  const [asking, setAsking] = useState(false);
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const discard = useMutation({
    mutationFn: () =>
      unwrap(api.POST("/api/fittings/{id}/discard", { params: { path: { id }, header: newKey() }, body: { version } })),
    onSuccess: async (state) => {
      forgetUnsaved(draft);
      queryClient.removeQueries({ queryKey: keys.fitting(id) });
      await queryClient.invalidateQueries();
      await navigate(`/clients/${clientId}`, { state: { discarded: { id, version: state.version } } });
    },
  });
  return (
    <>
      <QuietButton onPress={() => setAsking(true)}>{say("discard.discard")}</QuietButton>
      <Dialogue title={say("discard.title")} isOpen={asking} onClose={() => setAsking(false)}>
        {discard.error ? (
          <Notice tone="wrong">{refusal(discard.error)?.message ?? say("discard.failed")}</Notice>
        ) : null}
        <p>{say("discard.hint")}</p>
        <MarkRow style={{ marginTop: "1rem" }}>
          <PrimaryButton onPress={() => setAsking(false)}>{say("discard.cancel")}</PrimaryButton>
          <SecondaryButton onPress={() => discard.mutate()} isDisabled={discard.isPending}>
            {say("discard.discardIt")}
          </SecondaryButton>
        </MarkRow>
      </Dialogue>
    </>
  );
}
