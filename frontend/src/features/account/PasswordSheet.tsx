import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { complaintAt, postAuth, refusal } from "../../api/client";
import { say } from "../../lib/say";
import { PrimaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle } from "../../ui/Page";
import { Sheet } from "./Sheet";

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
    <Section>
      <SectionTitle>{say("passwordSheet.title")}</SectionTitle>
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate();
        }}
      >
        <p>{say("passwordSheet.says")}</p>
        {change.error && !old && !unfit ? <Notice tone="wrong">{refusal(change.error)?.message}</Notice> : null}
        {change.isSuccess ? <Notice>{say("passwordSheet.changed")}</Notice> : null}
        <Field
          label={say("passwordSheet.today")}
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
          complaint={old ? say("pinPage.thisIsNotYourPassword") : undefined}
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
        <PrimaryButton type="submit" isDisabled={change.isPending}>
          {say("passwordSheet.change")}
        </PrimaryButton>
      </Sheet>
    </Section>
  );
}
