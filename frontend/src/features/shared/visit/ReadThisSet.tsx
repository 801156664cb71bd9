// The set at hand, read by a phone: what it tells fills in the answers below, and whoever watched changes what is wrong.
import { api, newKey, unwrap } from "../../../api/client";
import { say } from "../../../lib/say";
import { asRead, type SetDraft } from "../../../model/setDraft";
import { PrimaryButton, QuietButton } from "../../../ui/Button";
import { ReadSetByPhone } from "../movement/ReadSetByPhone";

type Props = {
  /** from which the machine was set up */
  fitting: string;
  draft: SetDraft;
  locale: string;
  onSay: (fields: Partial<SetDraft>) => void;
};

export function ReadThisSet({ fitting, draft: { leg, repetitions, movement }, locale, onSay }: Props) {
  const make = () =>
    unwrap(
      api.POST("/api/fittings/{id}/movements", {
        params: { path: { id: fitting }, header: newKey() },
        body: { leg, planned: repetitions },
      }),
    );
  return (
    <ReadSetByPhone locale={locale} make={make}>
      {(over, close) => (
        <>
          <PrimaryButton isDisabled={movement === over.id} onPress={() => onSay(asRead(over))}>
            {movement === over.id ? say("readByPhone.taken") : say("readByPhone.take")}
          </PrimaryButton>
          <QuietButton
            onPress={() => {
              onSay({ movement: null });
              close(true);
            }}
          >
            {say("readByPhone.forget")}
          </QuietButton>
        </>
      )}
    </ReadSetByPhone>
  );
}
