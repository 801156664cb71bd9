import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { complaintAt, postAuth, refusal } from "../../api/client";
import { meQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { PrimaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { Sheet } from "./Sheet";

/** A PIN of one's own, with which a shared tablet is taken over and opened again. */
export function PinSheet() {
  const me = useQuery(meQuery);
  const queryClient = useQueryClient();
  const [password, setPassword] = useState("");
  const [pin, setPin] = useState("");
  const [wrong, setWrong] = useState<string>();
  const keep = useMutation({
    mutationFn: () => postAuth("pin", { password, pin }),
    onSuccess: async () => {
      setPassword("");
      setPin("");
      await queryClient.invalidateQueries();
    },
  });
  const submit = () => {
    const fits = /^\d{4,6}$/.test(pin);
    setWrong(fits ? undefined : say("pinPage.fourToSixDigits"));
    if (fits) keep.mutate();
  };
  const refused = complaintAt(keep.error, "/password");
  const simple = complaintAt(keep.error, "/pin");
  return (
    <Section>
      <SectionTitle>{say("pinPage.pin")}</SectionTitle>
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <p>{say("pinPage.withAPinAShared")}</p>
        <Small>{me.data?.pin ? say("pinPage.youHaveOneANew") : say("pinPage.noneYetThisTabletIs")}</Small>
        {keep.error && !refused && !simple ? <Notice tone="wrong">{refusal(keep.error)?.message}</Notice> : null}
        {keep.isSuccess ? <Notice>{say("pinPage.kept")}</Notice> : null}
        <Field
          label={say("pinPage.yourPassword")}
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
          complaint={refused ? say("pinPage.thisIsNotYourPassword") : undefined}
          isRequired
        />
        <Field
          label={say("pinPage.newPin")}
          hint={say("pinPage.fourToSixDigitsNo")}
          type="password"
          inputMode="decimal"
          autoComplete="off"
          value={pin}
          onChange={setPin}
          complaint={wrong ?? simple}
        />
        <PrimaryButton type="submit" isDisabled={keep.isPending}>
          {say("pinPage.keepThePin")}
        </PrimaryButton>
      </Sheet>
    </Section>
  );
}
