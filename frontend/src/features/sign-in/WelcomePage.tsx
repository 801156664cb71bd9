// What a link opens that somebody was sent: work here, or a new password. Its secret stands behind the # and goes nowhere else.
import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, complaintAt, postAuth, refusal, unwrap } from "../../api/client";
import { linkQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Field } from "../../ui/Field";
import { useTitle } from "../../ui/useTitle";
import { roleTitle } from "../shared/roles";
import { Door } from "./Door";
import { useEntrance } from "./useEntrance";

export function WelcomePage() {
  useTitle(say("welcomePage.title"));
  const [secret] = useState(() => window.location.hash.slice(1));
  const link = useQuery(linkQuery(secret));
  const [name, setName] = useState<string>();
  const [password, setPassword] = useState("");
  const enter = useEntrance();
  const invitation = link.data?.kind === "invitation";
  const shownName = name ?? link.data?.name ?? "";
  const take = useMutation({
    mutationFn: async () => {
      const { email } = await unwrap(
        api.POST("/auth/link/taking", {
          body: { secret, password, ...(invitation ? { name: shownName } : {}) },
        }),
      );
      await postAuth("login", { email, password });
    },
    onSuccess: () => enter("/"),
  });
  const unfit = complaintAt(take.error, "/password");
  const wrong = refusal(link.error)?.message ?? (unfit ? undefined : refusal(take.error)?.message);
  return (
    <Door
      title={
        link.data && !invitation
          ? say("welcomePage.newPassword")
          : say("welcomePage.welcomeTo", { gym: link.data?.gym ?? "Verglas" })
      }
      wrong={wrong}
      send={link.data ? (invitation ? say("welcomePage.begin") : say("welcomePage.keep")) : null}
      busy={take.isPending}
      onSend={() => take.mutate()}
    >
      {link.data ? (
        <>
          <p>
            {invitation
              ? say("welcomePage.asRole", { role: roleTitle(link.data.role).toLowerCase() })
              : say("welcomePage.othersOut")}
          </p>
          {invitation ? (
            <Field
              label={say("welcomePage.name")}
              autoComplete="name"
              value={shownName}
              onChange={setName}
              isRequired
              maxLength={80}
            />
          ) : null}
          <Field
            label={say("signInPage.email")}
            type="email"
            autoComplete="username"
            value={link.data.email}
            isReadOnly
          />
          <Field
            label={say("welcomePage.ownPassword")}
            hint={say("passwordSheet.least")}
            type="password"
            autoComplete="new-password"
            value={password}
            onChange={setPassword}
            complaint={unfit}
            isRequired
          />
        </>
      ) : null}
    </Door>
  );
}
