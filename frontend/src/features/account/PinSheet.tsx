import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { complaintAt, postAuth, refusal } from "../../api/client";
import { meQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Field } from "../../ui/Field";
import { Small } from "../../ui/Page";
import { AccountForm } from "./AccountForm";

/** A PIN of one's own, with which a shared tablet is taken over and opened again. */
export function PinSheet() {
  const me = useQuery(meQuery);
  const queryClient = useQueryClient();
  const [password, setPassword] = useState("");
  const [pin, setPin] = useState("");
  const [wrong, setWrong] = useState<string>();
  const keep = useMutation({
    mutationFn: () => postAuth("pin", { password, pin }),
    onSuccess: async () => {
      setPassword("");
      setPin("");
      await queryClient.invalidateQueries();
    },
  });
  const submit = () => {
    const fits = /^\d{4,6}$/.test(pin);
    setWrong(fits ? undefined : say("pinPage.digitsHint"));
    if (fits) keep.mutate();
  };
  const refused = complaintAt(keep.error, "/password");
  const simple = complaintAt(keep.error, "/pin");
  return (
    <AccountForm
      title={say("pinPage.pin")}
      wrong={refused || simple ? undefined : refusal(keep.error)?.message}
      done={keep.isSuccess ? say("pinPage.kept") : null}
      send={say("pinPage.keep")}
      busy={keep.isPending}
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
        complaint={refused ? say("pinPage.passwordWrong") : undefined}
        isRequired
      />
      <Field
        label={say("pinPage.newPin")}
        hint={say("pinPage.digitsProblem")}
        type="password"
        inputMode="decimal"
        autoComplete="off"
        value={pin}
        onChange={setPin}
        complaint={wrong ?? simple}
      />
    </AccountForm>
  );
}
