// A watched set that a phone reads: what it tells is taken over into the fitting, or let go.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, newKey, refusal, unwrap } from "../../../api/client";
import { keys } from "../../../api/keys";
import { meQuery } from "../../../api/queries";
import type { FittingPage, Movement, Sheet } from "../../../api/types";
import { say } from "../../../lib/say";
import { asRead } from "../../../model/setDraft";
import { PrimaryButton, QuietButton } from "../../../ui/Button";
import { Notice } from "../../../ui/Notice";
import { FieldLabel } from "../../../ui/Field";
import { ReadSetByPhone } from "../../shared/movement/ReadSetByPhone";
import { KeptReview } from "../../shared/movement/KeptReview";

type Props = { fitting: FittingPage; sheet: Sheet; onChange: (fields: Partial<Pick<Sheet, "work" | "signs">>) => void };

export function ReadOnBench({ fitting, sheet, onChange }: Props) {
  const me = useQuery(meQuery);
  const queryClient = useQueryClient();
  const { id, read } = fitting;
  const keep = useMutation({
    mutationFn: (movement: Movement) =>
      unwrap(
        api.POST("/api/movements/{id}/keeping", { params: { path: { id: movement.id }, header: newKey() }, body: {} }),
      ),
    onSuccess: (_, { review, whole_share }) => {
      if (review)
        queryClient.setQueryData<FittingPage>(
          keys.fitting(id),
          (page) => page && { ...page, read: { review, whole_share: whole_share ?? 1 } },
        );
    },
  });
  const take = (over: Movement) => {
    const { last, sign, repetitions } = asRead(over);
    onChange({
      work: { ...sheet.work, ...(last ? { last } : {}), ...(repetitions ? { repetitions } : {}) },
      ...(sign && !sheet.signs.includes(sign) ? { signs: [...sheet.signs, sign] } : {}),
    });
  };
  return (
    <div data-read-on-bench>
      <FieldLabel as="span">{say("readByPhone.title")}</FieldLabel>
      <ReadSetByPhone
        over
        locale={me.data?.gym.locale ?? "en-GB"}
        make={() =>
          unwrap(
            api.POST("/api/fittings/{id}/movements", {
              params: { path: { id }, header: newKey() },
              body: {
                leg: "",
                planned: sheet.work.repetitions ?? null,
                marks: sheet.marks,
                aids: sheet.aids,
              },
            }),
          )
        }
      >
        {(over, close) => (
          <>
            <PrimaryButton
              isDisabled={keep.isPending}
              onPress={() => {
                take(over);
                keep.mutate(over, { onSuccess: () => close(false) });
              }}
            >
              {say("readByPhone.keep")}
            </PrimaryButton>
            <QuietButton onPress={() => close(true)}>{say("readByPhone.forget")}</QuietButton>
            {keep.error ? <Notice tone="wrong">{refusal(keep.error)?.message}</Notice> : null}
          </>
        )}
      </ReadSetByPhone>
      {read ? <KeptReview read={read} /> : null}
    </div>
  );
}
