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
    setWrong(fits ? undefined : "Four to six digits.");
    if (fits) keep.mutate();
  };
  const refused = complaintAt(keep.error, "/password");
  const simple = complaintAt(keep.error, "/pin");
  return (
    <Page>
      <PageHead>
        <Title>PIN</Title>
        <Muted>
          {me.data?.pin ? "You have one. A new one takes its place." : "None yet: this tablet is not locked by itself."}
        </Muted>
      </PageHead>
      <Sheet
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <p>
          With a PIN a shared tablet locks itself after five minutes, and you take it over without your password for the
          rest of the day on which you signed in there. What is open stays.
        </p>
        {keep.error && !refused && !simple ? <Notice tone="wrong">{refusal(keep.error)?.message}</Notice> : null}
        {keep.isSuccess ? <Notice>Kept.</Notice> : null}
        <Field
          label="Your password"
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
          complaint={refused ? "This is not your password. Nothing was changed." : undefined}
          isRequired
        />
        <Field
          label="New PIN"
          hint="Four to six digits, no repeats, no row like 1234."
          type="password"
          inputMode="decimal"
          autoComplete="off"
          value={pin}
          onChange={setPin}
          complaint={wrong ?? simple}
        />
        <PrimaryButton type="submit" isDisabled={keep.isPending}>
          Keep the PIN
        </PrimaryButton>
      </Sheet>
    </Page>
  );
}
