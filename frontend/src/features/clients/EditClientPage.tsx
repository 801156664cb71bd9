import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate, useParams } from "react-router";
import { api, newKey, unwrap } from "../../api/client";
import { clientQuery } from "../../api/queries";
import { useTitle } from "../../ui/useTitle";
import { Page, PageHead, Title } from "../../ui/Page";
import { Belongings } from "./Belongings";
import { Typed } from "../../ui/Typed";
import { ClientForm, type ClientFields } from "./ClientForm";

export function EditClientPage() {
  const { id = "" } = useParams();
  useTitle(say("editClientPage.title"));
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const page = useQuery({ ...clientQuery(id), refetchOnWindowFocus: false });
  const correct = useMutation({
    mutationFn: (fields: ClientFields) =>
      unwrap(
        api.PATCH("/api/clients/{id}", {
          body: { ...fields, version: page.data?.client.version ?? 0 },
          params: { path: { id }, header: newKey() },
        }),
      ),
    onSuccess: async () => {
      await queryClient.invalidateQueries();
      await navigate(`/clients/${id}`);
    },
  });
  if (!page.data) return null;
  const { name, detail, sex, birth_date, body_mass_kg } = page.data.client;
  return (
    <Page>
      <PageHead>
        <Title>
          {say("editClientPage.correct")} {name}
        </Title>
      </PageHead>
      <Typed onTyped={() => correct.isError && correct.reset()}>
        <ClientForm
          start={{ name, detail, sex, birth_date, body_mass_kg }}
          action={say("editClientPage.save")}
          back={`/clients/${id}`}
          busy={correct.isPending}
          thrown={correct.error}
          onSubmit={(fields) => correct.mutate(fields)}
        />
      </Typed>
      <Belongings client={page.data.client} />
    </Page>
  );
}
