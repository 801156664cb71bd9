import { useState } from "react";
import { say } from "../../lib/say";
import { Field } from "../../ui/Field";
import { AccountForm } from "./AccountForm";
import { useAccountChange } from "./useAccountChange";

/** Another password; whoever is signed in elsewhere under the old one is not any more. */
export function PasswordSheet() {
  const [password, setPassword] = useState("");
  const [wanted, setWanted] = useState("");
  const { keep, busy, kept, wrongPassword, unfit, wrong } = useAccountChange("password", "new_password", () => {
    setPassword("");
    setWanted("");
  });
  return (
    <AccountForm
      title={say("passwordSheet.title")}
      wrong={wrong}
      done={kept ? say("passwordSheet.changed") : null}
      send={say("passwordSheet.change")}
      busy={busy}
      onSend={() => keep({ password, new_password: wanted })}
    >
      <p>{say("passwordSheet.says")}</p>
      <Field
        label={say("passwordSheet.today")}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={setPassword}
        complaint={wrongPassword}
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
