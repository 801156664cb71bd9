// What a client shows before a kind of machine is used, noted right or not: a hinge with a stick before a hinge bench.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import styled from "styled-components";
import { keys } from "../../api/keys";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { limitsQuery } from "../../api/queries";
import type { Gate } from "../../api/types";
import { say } from "../../lib/say";
import { QuietButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Notice } from "../../ui/Notice";
import { Muted, Small } from "../../ui/Page";
import { space } from "../../ui/tokens";

const Shown = styled.div`
  display: grid;
  gap: ${space(2)};
  justify-items: start;
`;

type Answer = "yes" | "no" | "";
type Props = { client: { id: string; version: number }; gates: readonly Gate[] };

export function Gates({ client, gates }: Props) {
  const queryClient = useQueryClient();
  const note = useMutation({
    mutationFn: ({ gate, right }: { gate: string; right: boolean | null }) =>
      unwrap(
        api.PUT("/api/clients/{id}/gates/{gate}", {
          params: { path: { id: client.id, gate }, header: newKey() },
          body: { right, version: client.version },
        }),
      ),
    onSettled: () =>
      Promise.all([
        queryClient.invalidateQueries({ queryKey: limitsQuery(client.id).queryKey }),
        queryClient.invalidateQueries({ queryKey: keys.client(client.id) }),
        queryClient.invalidateQueries({ queryKey: keys.fittings }),
      ]),
  });
  return gates.map((gate) =>
    gate.skipped.length > 0 ? (
      <Muted key={gate.name}>
        {say("limitsPage.notMeasured")} {gate.skipped.join(", ").toLowerCase()}
        {say("limitsPage.notCleared")}
      </Muted>
    ) : (
      <Shown key={gate.name} data-gate={gate.name}>
        <Choice<Answer>
          label={gate.title}
          compact
          stacked
          options={[
            ["yes", gate.kept],
            ["no", gate.not_yet],
          ]}
          value={gate.right === null ? "" : gate.right ? "yes" : "no"}
          onChange={(answer) => note.mutate({ gate: gate.name, right: answer === "yes" })}
        />
        {note.error ? <Notice tone="wrong">{refusal(note.error)?.message}</Notice> : null}
        <Small role="status">{gate.by ? say("gates.notedBy", { name: gate.by }) : say("gates.unnoted")}</Small>
        {gate.right === null ? null : (
          <QuietButton
            style={{ paddingLeft: 0 }}
            isDisabled={note.isPending}
            onPress={() => note.mutate({ gate: gate.name, right: null })}
          >
            {say("limitsPage.forgetIt")}
          </QuietButton>
        )}
      </Shown>
    ),
  );
}
