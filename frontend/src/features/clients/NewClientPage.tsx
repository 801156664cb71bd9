import { say } from "../../lib/say";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRef } from "react";
import { useNavigate } from "react-router";
import { keys } from "../../api/keys";
import { api, newKey, unwrap } from "../../api/client";
import { useTitle } from "../../ui/useTitle";
import { Page, PageHead, Title } from "../../ui/Page";
import { Typed } from "../../ui/Typed";
import { ClientForm, type ClientFields } from "./ClientForm";

const BLANK: ClientFields = { name: "", detail: "", sex: null, birth_date: null, body_mass_kg: null };

export function NewClientPage() {
  useTitle(say("newClientPage.title"));
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  // The same sheet sent twice is one client; a corrected sheet is another request.
  const sent = useRef<{ text: string; key: ReturnType<typeof newKey> } | null>(null);
  const add = useMutation({
    mutationFn: (fields: ClientFields) => {
      const text = JSON.stringify(fields);
      if (sent.current?.text !== text) sent.current = { text, key: newKey() };
      return unwrap(api.POST("/api/clients", { body: fields, params: { header: sent.current.key } }));
    },
    onSuccess: async (client) => {
      await queryClient.invalidateQueries({ queryKey: keys.clients });
      await navigate(`/clients/${client.id}/tape`);
    },
  });
  return (
    <Page>
      <PageHead>
        <Title>{say("newClientPage.title")}</Title>
      </PageHead>
      <Typed onTyped={() => add.isError && add.reset()}>
        <ClientForm
          start={BLANK}
          action={say("newClientPage.submit")}
          back="/clients"
          busy={add.isPending}
          thrown={add.error}
          onSubmit={(fields) => add.mutate(fields)}
        />
      </Typed>
    </Page>
  );
}
