import { say } from "../../lib/say";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { keys } from "../../api/keys";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Field } from "../../ui/Field";

/** Another of the same make: lengths are copied and marked to be checked. */
export function Copy({ id, name }: { id: string; name: string }) {
  const [asking, setAsking] = useState(false);
  const [called, setCalled] = useState("");
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const copy = useMutation({
    mutationFn: () =>
      unwrap(
        api.POST("/api/machines/{id}/copy", {
          params: { path: { id }, header: newKey() },
          body: { name: called },
        }),
      ),
    onSuccess: async (made) => {
      setAsking(false);
      await queryClient.invalidateQueries({ queryKey: keys.machines });
      await navigate(`/machines/${made.machine.id}`);
    },
  });
  return (
    <>
      <SecondaryButton onPress={() => setAsking(true)}>{say("copy.link")}</SecondaryButton>
      <Dialogue title={say("copy.title", { name })} isOpen={asking} onClose={() => setAsking(false)}>
        <p style={{ marginBottom: "1rem" }}>{say("copy.hint")}</p>
        <Field
          label={say("copy.nameLabel")}
          value={called}
          maxLength={80}
          autoFocus
          autoComplete="off"
          onChange={setCalled}
          complaint={refusal(copy.error)?.message}
        />
        <p style={{ marginTop: "1rem" }}>
          <PrimaryButton isDisabled={called.trim() === "" || copy.isPending} onPress={() => copy.mutate()}>
            {say("copy.copyIt")}
          </PrimaryButton>
        </p>
      </Dialogue>
    </>
  );
}
