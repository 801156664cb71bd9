import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { complaintAt, postAuth, refusal } from "../../api/client";
import { say } from "../../lib/say";
import { Field } from "../../ui/Field";
import { AccountForm } from "./AccountForm";

/** Another password; whoever is signed in elsewhere under the old one is not any more. */
export function PasswordSheet() {
  const queryClient = useQueryClient();
  const [password, setPassword] = useState("");
  const [wanted, setWanted] = useState("");
  const change = useMutation({
    mutationFn: () => postAuth("password", { password, new_password: wanted }),
    onSuccess: async () => {
      setPassword("");
      setWanted("");
      await queryClient.invalidateQueries();
    },
  });
  const [old, unfit] = ["/password", "/new_password"].map((path) => complaintAt(change.error, path));
  return (
    <AccountForm
      title={say("passwordSheet.title")}
      wrong={old || unfit ? undefined : refusal(change.error)?.message}
      done={change.isSuccess ? say("passwordSheet.changed") : null}
      send={say("passwordSheet.change")}
      busy={change.isPending}
      onSend={() => change.mutate()}
    >
      <p>{say("passwordSheet.says")}</p>
      <Field
        label={say("passwordSheet.today")}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={setPassword}
        complaint={old ? say("pinPage.passwordWrong") : undefined}
        isRequired
      />
      <Field
        label={say("passwordSheet.wanted")}
        hint={say("passwordSheet.least")}
        type="password"
        autoComplete="new-password"
        value={wanted}
        onChange={setWanted}
        complaint={unfit}
        isRequired
      />
    </AccountForm>
  );
}
