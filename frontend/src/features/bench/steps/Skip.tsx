import { say } from "../../../lib/say";
import { useState } from "react";
import { Form } from "react-aria-components";
import { PrimaryButton, QuietButton } from "../../../ui/Button";
import { Choice } from "../../../ui/Choice";
import { Dialogue } from "../../../ui/Dialogue";
import { Field } from "../../../ui/Field";
import { space } from "../../../ui/tokens";

const REASONS = [say("skip.unneeded"), say("skip.noTime"), say("skip.preferred"), say("skip.occupied")].map(
  (reason) => [reason, reason] as const,
);

/** Leaves a step out, with why: it stays on the record, and can be taken later. */
export function Skip({ onSkip }: { onSkip: (reason: string) => void }) {
  const [asking, setAsking] = useState(false);
  const [chosen, setChosen] = useState<string>(REASONS[0]?.[0] ?? "");
  const [own, setOwn] = useState("");
  return (
    <>
      <QuietButton onPress={() => setAsking(true)}>{say("skip.skip")}</QuietButton>
      <Dialogue title={say("skip.title")} isOpen={asking} onClose={() => setAsking(false)}>
        <Form
          style={{ display: "grid", gap: space(4) }}
          onSubmit={(event) => {
            event.preventDefault();
            onSkip(own.trim() || chosen);
            setAsking(false);
            setOwn("");
          }}
        >
          <Choice label={say("skip.why")} options={REASONS} value={chosen} onChange={setChosen} stacked />
          <Field label={say("skip.ownWords")} value={own} onChange={setOwn} maxLength={200} autoComplete="off" />
          <PrimaryButton type="submit">{say("skip.skipIt")}</PrimaryButton>
        </Form>
      </Dialogue>
    </>
  );
}
