// A new password by e-mail, where the server sends letters. It says the same whoever asks: who works here is nobody's to
// learn.
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, refusal, unwrap } from "../../api/client";
import { say } from "../../lib/say";
import { useTitle } from "../../ui/useTitle";
import { Door } from "./Door";
import { EmailField } from "./EmailField";

export function ForgottenPage() {
  useTitle(say("forgottenPage.title"));
  const [email, setEmail] = useState("");
  const ask = useMutation({ mutationFn: () => unwrap(api.POST("/auth/forgotten", { body: { email } })) });
  return (
    <Door
      title={say("forgottenPage.title")}
      wrong={refusal(ask.error)?.message}
      send={ask.isSuccess ? null : say("forgottenPage.send")}
      busy={ask.isPending}
      onSend={() => ask.mutate()}
    >
      {ask.isSuccess ? (
        <p role="status">{say("forgottenPage.sent", { email })}</p>
      ) : (
        <EmailField value={email} onChange={setEmail} />
      )}
      <Link to="/sign-in">{say("forgottenPage.back")}</Link>
    </Door>
  );
}
