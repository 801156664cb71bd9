// An accepted fitting that was made by mistake: taken back with a reason that stays in the history.
import { say } from "../../../lib/say";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import { api, complaintAt, newKey, refusal, unwrap } from "../../../api/client";
import { PrimaryButton, QuietButton } from "../../../ui/Button";
import { Choice } from "../../../ui/Choice";
import { Dialogue } from "../../../ui/Dialogue";
import { Field } from "../../../ui/Field";
import { Notice } from "../../../ui/Notice";
import { space } from "../../../ui/tokens";

const REASONS = [
  say("takeBack.wrongClient"),
  say("takeBack.wrongMachine"),
  say("takeBack.wrongLoad"),
  say("takeBack.wrongMarks"),
].map((reason) => [reason, reason] as const);

export function TakeBack({ id, version }: { id: string; version: number }) {
  const [asking, setAsking] = useState(false);
  const [chosen, setChosen] = useState<string>(REASONS[0]?.[0] ?? "");
  const [own, setOwn] = useState("");
  const queryClient = useQueryClient();
  const takeBack = useMutation({
    mutationFn: (reason: string) =>
      unwrap(
        api.POST("/api/fittings/{id}/taking-back", {
          params: { path: { id }, header: newKey() },
          body: { version, reason },
        }),
      ),
    onSuccess: async () => {
      setAsking(false);
      await queryClient.invalidateQueries();
    },
  });
  return (
    <>
      <QuietButton onPress={() => setAsking(true)}>{say("takeBack.mistake")}</QuietButton>
      <Dialogue title={say("takeBack.title")} isOpen={asking} onClose={() => setAsking(false)}>
        <Form
          style={{ display: "grid", gap: space(4) }}
          onSubmit={(event) => {
            event.preventDefault();
            takeBack.mutate(own.trim() || chosen);
          }}
        >
          {takeBack.error ? (
            <Notice tone="wrong">{refusal(takeBack.error)?.message ?? say("takeBack.failed")}</Notice>
          ) : null}
          <p>{say("takeBack.hint")}</p>
          <Choice label={say("takeBack.why")} options={REASONS} value={chosen} onChange={setChosen} stacked />
          <Field
            label={say("takeBack.ownWords")}
            value={own}
            onChange={setOwn}
            maxLength={200}
            autoComplete="off"
            complaint={complaintAt(takeBack.error, "/reason")}
          />
          <PrimaryButton type="submit" isDisabled={takeBack.isPending}>
            {say("takeBack.submit")}
          </PrimaryButton>
        </Form>
      </Dialogue>
    </>
  );
}
