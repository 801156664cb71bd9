import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { complaintAt, postAuth, refusal } from "../../api/client";
import { meQuery } from "../../api/queries";
import { useTitle } from "../../ui/useTitle";
import { PrimaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { colour, radius, space } from "../../ui/tokens";

const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  max-width: 26rem;
  padding: ${space(5)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;

/** A PIN of one's own, with which a shared tablet is taken over and opened again. */
export function PinPage() {
  useTitle("PIN");
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
    <Page>
      <PageHead>
        <Title>{say("pinPage.pin")}</Title>
        <Muted>{me.data?.pin ? say("pinPage.youHaveOneANew") : say("pinPage.noneYetThisTabletIs")}</Muted>
      </PageHead>
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <p>{say("pinPage.withAPinAShared")}</p>
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
    </Page>
  );
}
