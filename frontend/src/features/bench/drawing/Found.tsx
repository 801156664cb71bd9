// What is seen where a limit of the client is reached: the machine's geometry gives the degrees, and they are remembered.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import styled from "styled-components";
import { keys } from "../../../api/keys";
import { api, newKey, refusal, unwrap } from "../../../api/client";
import type { FittingPage, Sheet } from "../../../api/types";
import { say } from "../../../lib/say";
import { SecondaryButton } from "../../../ui/Button";
import { colour, size, space } from "../../../ui/tokens";

const Row = styled.div`
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(2)};
  font-size: ${size.small};
  button {
    font-size: ${size.small};
    padding: ${space(1)} ${space(3)};
  }
  span {
    flex: 1 1 12rem;
    line-height: 1.25;
    color: ${colour.inkMuted};
  }
`;

type Props = { fitting: FittingPage; sheet: Sheet; share: number };

export function Found({ fitting, sheet: { marks, aids }, share }: Props) {
  const queryClient = useQueryClient();
  const found = useMutation({
    mutationFn: (limit: string) =>
      unwrap(
        api.POST("/api/fittings/{id}/limits/{limit}", {
          params: { path: { id: fitting.id, limit }, header: newKey() },
          body: { marks, aids, share, client_version: fitting.client.version },
        }),
      ),
    onSettled: () => queryClient.invalidateQueries({ queryKey: keys.fitting(fitting.id) }),
  });
  if (fitting.findable.length === 0) return null;
  const kept = found.data?.limits.find(({ name }) => name === found.variables)?.measured;
  return (
    <Row>
      {fitting.findable.map(({ limit, says }) => (
        <SecondaryButton key={limit} isDisabled={found.isPending} onPress={() => found.mutate(limit)}>
          {says}
        </SecondaryButton>
      ))}
      <span role="status">
        {found.error
          ? refusal(found.error)?.message
          : kept
            ? say("found.kept", { deg: Math.floor(kept.deg) })
            : [...new Set(fitting.findable.map(({ how }) => how))].join(" ")}
      </span>
    </Row>
  );
}
