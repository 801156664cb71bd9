import { say } from "../../lib/say";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Form } from "react-aria-components";
import { useLocation, useNavigate } from "react-router";
import styled from "styled-components";
import { postAuth, refusal } from "../../api/client";
import { noteOpened } from "../shared/lockFlag";
import { Logo } from "../../ui/Logo";
import { useTitle } from "../../ui/useTitle";
import { PrimaryButton } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { colour, radius, size, space } from "../../ui/tokens";

const Ground = styled.main`
  min-height: 100vh;
  display: grid;
  place-items: center;
  padding: ${space(4)};
  background: ${colour.rail};
`;
const Panel = styled(Form)`
  width: min(26rem, 100%);
  display: grid;
  gap: ${space(4)};
  padding: ${space(8)};
  border-radius: ${radius};
  background: ${colour.panel};
  h1 {
    font-size: ${size.title};
  }
`;
const Head = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
  margin-bottom: ${space(2)};
`;
const Badge = styled.span`
  align-self: flex-start;
  padding: ${space(3)};
  border-radius: ${radius};
  background: ${colour.rail};
  line-height: 0;
`;

export function SignInPage() {
  useTitle(say("signInPage.signIn"));
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const navigate = useNavigate();
  const location = useLocation() as { state: { from?: string } | null };
  const queryClient = useQueryClient();
  const signIn = useMutation({
    mutationFn: () => postAuth("login", { email, password }),
    onSuccess: async () => {
      noteOpened();
      queryClient.clear();
      await navigate(location.state?.from ?? "/", { replace: true });
    },
  });
  const problem = refusal(signIn.error);
  return (
    <Ground>
      <Panel
        onSubmit={(event) => {
          event.preventDefault();
          signIn.mutate();
        }}
      >
        <Head>
          <Badge>
            <Logo width={52} />
          </Badge>
          <h1>{say("signInPage.title")}</h1>
        </Head>
        {problem ? <Notice tone="wrong">{problem.message}</Notice> : null}
        <Field
          label={say("signInPage.email")}
          type="email"
          autoComplete="username"
          value={email}
          onChange={setEmail}
          isRequired
          autoFocus
        />
        <Field
          label={say("signInPage.password")}
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
          isRequired
        />
        <PrimaryButton type="submit" isDisabled={signIn.isPending}>
          {say("signInPage.signIn")}
        </PrimaryButton>
      </Panel>
    </Ground>
  );
}
