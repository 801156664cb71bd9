// A locked tablet: who takes it over, with a short PIN. While it is in a client's hands, only what was handed over is seen.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useState } from "react";
import { Button, Form } from "react-aria-components";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { postAuth, refusal } from "../../api/client";
import { tabletQuery } from "../../api/queries";
import { Logo } from "../../ui/Logo";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { colour, radius, size, space, target } from "../../ui/tokens";

const Ground = styled.main`
  position: fixed;
  inset: 0;
  z-index: 30;
  display: grid;
  place-items: center;
  overflow: auto;
  padding: ${space(4)};
  background: ${colour.rail};
`;
const Handed = styled.div`
  position: fixed;
  inset: 0;
  z-index: 30;
  overflow: auto;
  background: ${colour.ground};
`;
const Corner = styled(QuietButton)`
  position: fixed;
  right: ${space(4)};
  bottom: ${space(4)};
`;
const Panel = styled(Form)`
  width: min(24rem, 100%);
  display: grid;
  gap: ${space(4)};
  padding: ${space(6)};
  border-radius: ${radius};
  background: ${colour.panel};
  h1 {
    font-size: ${size.title};
  }
`;
const Pad = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: ${space(2)};
`;
const Key = styled(Button)`
  min-height: ${target.step};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.ground};
  font-size: ${size.title};
  cursor: pointer;
`;
const Badge = styled.span`
  justify-self: start;
  padding: ${space(3)};
  border-radius: ${radius};
  background: ${colour.rail};
  line-height: 0;
`;

type Props = { shown: ReactNode | null; onOpened: () => Promise<void> };

export function LockScreen({ shown, onOpened }: Props) {
  const [handed, setHanded] = useState(shown !== null);
  if (handed)
    return (
      <Handed>
        {shown}
        <Corner onPress={() => setHanded(false)}>{say("lockScreen.instructor")}</Corner>
      </Handed>
    );
  return (
    <Ground>
      <TakeOver onOpened={onOpened} onBack={shown === null ? null : () => setHanded(true)} />
    </Ground>
  );
}

function TakeOver({ onOpened, onBack }: { onOpened: () => Promise<void>; onBack: (() => void) | null }) {
  const tablet = useQuery(tabletQuery);
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const [chosen, setChosen] = useState<string | null>(null);
  const [pin, setPin] = useState("");
  const staff = (tablet.data?.staff ?? []).filter((one) => one.pin);
  const who = chosen ?? String(tablet.data?.me ?? "");
  const open = useMutation({
    mutationFn: () => postAuth("switch", { account_id: Number(who), pin }),
    onSuccess: onOpened,
    onError: () => setPin(""),
  });
  const signIn = async () => {
    await postAuth("logout", {}).catch(() => undefined);
    queryClient.clear();
    await navigate("/sign-in", { state: { from: window.location.pathname } });
  };
  return (
    <Panel
      onSubmit={(event) => {
        event.preventDefault();
        open.mutate();
      }}
    >
      <Badge>
        <Logo width={44} />
      </Badge>
      <h1>{say("lockScreen.locked")}</h1>
      <p>{say("lockScreen.reassurance")}</p>
      {open.error ? <Notice tone="wrong">{refusal(open.error)?.message ?? say("lockScreen.openFailed")}</Notice> : null}
      {staff.length === 0 ? null : (
        <>
          <Choice
            label={say("lockScreen.title")}
            options={staff.map(({ id, name }) => [String(id), name] as const)}
            value={who}
            onChange={setChosen}
            stacked
          />
          <Field
            label={say("lockScreen.pin")}
            type="password"
            inputMode="decimal"
            autoComplete="off"
            value={pin}
            onChange={(text) => setPin(text.replace(/\D/g, "").slice(0, 6))}
            autoFocus
          />
          <Pad role="group" aria-label={say("lockScreen.digits")}>
            {["1", "2", "3", "4", "5", "6", "7", "8", "9"].map((digit) => (
              <Key key={digit} onPress={() => setPin((pin + digit).slice(0, 6))}>
                {digit}
              </Key>
            ))}
            <Key aria-label={say("lockScreen.eraseDigit")} onPress={() => setPin(pin.slice(0, -1))}>
              ←
            </Key>
            <Key onPress={() => setPin((pin + "0").slice(0, 6))}>0</Key>
            <PrimaryButton type="submit" isDisabled={open.isPending || pin.length < 4}>
              {say("lockScreen.open")}
            </PrimaryButton>
          </Pad>
        </>
      )}
      <SecondaryButton onPress={() => void signIn()}>{say("lockScreen.usePassword")}</SecondaryButton>
      {onBack ? <QuietButton onPress={onBack}>{say("lockScreen.back")}</QuietButton> : null}
    </Panel>
  );
}
