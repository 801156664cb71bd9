import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { sharingQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { Tick } from "../../ui/Tick";

/** Which of the gym's clinicians are shown this client: they see the cautions and say what is allowed. */
export function Sharing({ id }: { id: string }) {
  const sharing = useQuery(sharingQuery(id));
  const queryClient = useQueryClient();
  const share = useMutation({
    mutationFn: (body: { clinician: number; shared: boolean }) =>
      unwrap(api.PUT("/api/clients/{id}/sharing", { params: { path: { id }, header: newKey() }, body })),
    onSuccess: (kept) => queryClient.setQueryData(sharingQuery(id).queryKey, kept),
  });
  if (!sharing.data || sharing.data.clinicians.length === 0) return null;
  return (
    <Section>
      <SectionTitle>{say("sharing.title")}</SectionTitle>
      <Small>{say("sharing.hint")}</Small>
      {share.error ? <Notice tone="wrong">{refusal(share.error)?.message}</Notice> : null}
      {sharing.data.clinicians.map(({ id: clinician, name, shared }) => (
        <Tick
          key={clinician}
          isSelected={shared}
          isDisabled={share.isPending}
          onChange={(chosen) => share.mutate({ clinician, shared: chosen })}
        >
          {name}
        </Tick>
      ))}
    </Section>
  );
}
