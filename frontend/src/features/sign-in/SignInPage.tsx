import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, Navigate, useLocation } from "react-router";
import { postAuth, refusal } from "../../api/client";
import { firstQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Field } from "../../ui/Field";
import { useTitle } from "../../ui/useTitle";
import { Door } from "./Door";
import { EmailField } from "./EmailField";
import { useEntrance } from "./useEntrance";

export function SignInPage() {
  useTitle(say("signInPage.signIn"));
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const location = useLocation() as { state: { from?: string } | null };
  const first = useQuery(firstQuery);
  const enter = useEntrance();
  const signIn = useMutation({
    mutationFn: () => postAuth("login", { email, password }),
    onSuccess: () => enter(location.state?.from ?? "/"),
  });
  if (first.data?.needed) return <Navigate to="/begin" replace />;
  return (
    <Door
      title={say("signInPage.title")}
      wrong={refusal(signIn.error)?.message}
      send={say("signInPage.signIn")}
      busy={signIn.isPending}
      onSend={() => signIn.mutate()}
    >
      <EmailField value={email} onChange={setEmail} />
      <Field
        label={say("signInPage.password")}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={setPassword}
        isRequired
      />
      {first.data?.by_email ? <Link to="/forgotten">{say("signInPage.forgotten")}</Link> : null}
    </Door>
  );
}
