// An accepted fitting that was made by mistake: taken back with a reason that stays in the history.
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

const REASONS = ["Wrong client", "Wrong machine", "Wrong load", "Wrong marks"].map(
  (reason) => [reason, reason] as const,
);

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
      <QuietButton onPress={() => setAsking(true)}>Made by mistake</QuietButton>
      <Dialogue title="Take this fitting back?" isOpen={asking} onClose={() => setAsking(false)}>
        <Form
          style={{ display: "grid", gap: space(4) }}
          onSubmit={(event) => {
            event.preventDefault();
            takeBack.mutate(own.trim() || chosen);
          }}
        >
          {takeBack.error ? (
            <Notice tone="wrong">{refusal(takeBack.error)?.message ?? "It could not be taken back."}</Notice>
          ) : null}
          <p>
            It leaves the card, and what it taught is unlearned; what stood there before stands again. It stays in the
            history with your name and the reason.
          </p>
          <Choice label="Why" options={REASONS} value={chosen} onChange={setChosen} stacked />
          <Field
            label="Or in your words"
            value={own}
            onChange={setOwn}
            maxLength={200}
            autoComplete="off"
            complaint={complaintAt(takeBack.error, "/reason")}
          />
          <PrimaryButton type="submit" isDisabled={takeBack.isPending}>
            Take it back
          </PrimaryButton>
        </Form>
      </Dialogue>
    </>
  );
}
