// The frame of the forms in which a machine's length or travel is taped.
import { say } from "../../lib/say";
import { type ReactNode } from "react";
import { refusal } from "../../api/client";
import type { MachineLength, Trial } from "../../api/types";
import { dayText } from "../../lib/dates";
import type { LengthUnit } from "../../lib/lengths";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { MeasureActions, MeasureSheet } from "../../ui/MeasureSheet";
import { Notice } from "../../ui/Notice";
import { Small } from "../../ui/Page";

export type Common = {
  unit: LengthUnit;
  locale: string;
  trial: Trial | undefined;
  busy: boolean;
  thrown: unknown;
  said: ReactNode;
};

/** The frame of both forms: what to do, the fields, what is odd, keep. */
export function Taped(
  props: Common & {
    title: string;
    how: string;
    taped: MachineLength["taped"];
    known: boolean;
    odd: string[];
    onKeep: (confirmed: boolean) => void;
    onForget: () => void;
    children: ReactNode;
  },
) {
  const { title, how, taped, known, odd, busy, thrown, said, locale, onKeep, onForget, children } = props;
  const error = refusal(thrown);
  const refused = error?.code === "odd_length";
  return (
    <MeasureSheet
      onSubmit={(event) => {
        event.preventDefault();
        onKeep(false);
      }}
    >
      <h2>{title}</h2>
      <p>{how}</p>
      {children}
      {refused ? (
        <Notice tone="wrong">
          {error.message}
          <MeasureActions style={{ marginTop: "0.75rem" }}>
            <SecondaryButton onPress={() => onKeep(true)} isDisabled={busy}>
              {say("taped.keepAnyway")}
            </SecondaryButton>
          </MeasureActions>
        </Notice>
      ) : (
        odd.map((says) => <Notice key={says}>{says}</Notice>)
      )}
      {error && !refused ? <Notice tone="wrong">{error.message}</Notice> : null}
      <MeasureActions>
        <PrimaryButton type="submit" isDisabled={busy}>
          {known ? say("taped.replaceIt") : say("taped.keepIt")}
        </PrimaryButton>
        {known ? (
          <QuietButton onPress={onForget} isDisabled={busy}>
            {say("taped.forgetIt")}
          </QuietButton>
        ) : null}
      </MeasureActions>
      {taped ? (
        <Small>
          {taped.copied
            ? say("taped.copiedNotice")
            : say("taped.author", {
                by: taped.by ?? say("taped.somebody"),
                day: dayText(taped.at, locale),
              })}
          {taped.learned === null ? null : ` ${say("lengthTable.learned", { count: taped.learned })}`}
        </Small>
      ) : null}
      <Small role="status">{said}</Small>
    </MeasureSheet>
  );
}
