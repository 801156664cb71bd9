import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { meQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Field } from "../../ui/Field";
import { Small } from "../../ui/Page";
import { AccountForm } from "./AccountForm";
import { useAccountChange } from "./useAccountChange";

/** A PIN of one's own, with which a shared tablet is taken over and opened again. */
export function PinSheet() {
  const me = useQuery(meQuery);
  const [password, setPassword] = useState("");
  const [pin, setPin] = useState("");
  const [problem, setProblem] = useState<string>();
  const { keep, busy, kept, wrongPassword, unfit, wrong } = useAccountChange("pin", "pin", () => {
    setPassword("");
    setPin("");
  });
  const submit = () => {
    const fits = /^\d{4,6}$/.test(pin);
    setProblem(fits ? undefined : say("pinPage.digitsProblem"));
    if (fits) keep({ password, pin });
  };
  return (
    <AccountForm
      title={say("pinPage.pin")}
      wrong={wrong}
      done={kept ? say("pinPage.kept") : null}
      send={say("pinPage.keep")}
      busy={busy}
      onSend={submit}
    >
      <p>{say("pinPage.hint")}</p>
      <Small>{me.data?.pin ? say("pinPage.changeNotice") : say("pinPage.noneNotice")}</Small>
      <Field
        label={say("pinPage.yourPassword")}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={setPassword}
        complaint={wrongPassword}
        isRequired
      />
      <Field
        label={say("pinPage.newPin")}
        hint={say("pinPage.digitsHint")}
        type="password"
        inputMode="decimal"
        autoComplete="off"
        value={pin}
        onChange={setPin}
        complaint={problem ?? unfit}
      />
    </AccountForm>
  );
}
