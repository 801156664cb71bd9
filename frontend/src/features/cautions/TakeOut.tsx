// Takes out a caution that was written by mistake, with why: one that is over is cleared by a clinician instead.
import { say } from "../../lib/say";
import { useState } from "react";
import { Form } from "react-aria-components";
import { complaintAt, refusal } from "../../api/client";
import { PrimaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { space } from "../../ui/tokens";

export function TakeOut({
  busy,
  thrown,
  onTakeOut,
}: {
  busy: boolean;
  thrown: unknown;
  onTakeOut: (reason: string) => void;
}) {
  const [reason, setReason] = useState("");
  const error = refusal(thrown);
  return (
    <Form
      style={{ display: "grid", gap: space(4) }}
      onSubmit={(event) => {
        event.preventDefault();
        onTakeOut(reason);
      }}
    >
      {error && error.path !== "/reason" ? <Notice tone="wrong">{error.message}</Notice> : null}
      <Field
        label={say("takeOut.reasonLabel")}
        hint={say("takeOut.hint")}
        value={reason}
        maxLength={500}
        autoComplete="off"
        autoFocus
        onChange={setReason}
        complaint={complaintAt(thrown, "/reason")}
      />
      <span>
        <PrimaryButton type="submit" isDisabled={busy}>
          {say("takeOut.submit")}
        </PrimaryButton>
      </span>
    </Form>
  );
}
