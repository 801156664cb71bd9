// Several people at one machine: who comes next, and what has to be moved from one to the next.
import { say } from "../../lib/say";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useParams, useSearchParams } from "react-router";
import styled from "styled-components";
import { api, newKey, refusal, unwrap } from "../../api/client";
import { queueQuery } from "../../api/queries";
import type { ExerciseName, Queue } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { PrimaryButton, QuietButton, SecondaryButton } from "../../ui/Button";
import { PrimaryLink, SecondaryLink } from "../../ui/LinkButton";
import { MarkTags } from "../../ui/MarkTag";
import { Notice } from "../../ui/Notice";
import { Empty, Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { breakpoint, colour, font, radius, size, space } from "../../ui/tokens";
import { ClientPicker } from "../shared/ClientPicker";
import { useOpenFitting } from "../shared/useOpenFitting";
import { moveText } from "./MoveText";

const Row = styled.li`
  display: grid;
  grid-template-columns: minmax(10rem, 1fr) minmax(0, 2fr) 14rem;
  gap: ${space(3)} ${space(4)};
  align-items: center;
  padding: ${space(3)} ${space(4)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Moves = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  li {
    padding: ${space(1)} ${space(3)};
    border: 1px solid ${colour.lineStrong};
    border-radius: ${radius};
    font-size: ${size.large};
  }
`;
const Load = styled.span`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.title};
  letter-spacing: -0.05em;
`;
const Ends = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)};
  justify-content: flex-end;
`;

type Entry = Queue["entries"][number];

export function QueuePage() {
  const { id = "" } = useParams();
  const [query] = useSearchParams();
  const exercise = query.get("exercise") ?? "";
  const queue = useQuery(queueQuery(id, exercise));
  useTitle(queue.data ? say("queuePage.nextTitle", { name: queue.data.machine.name }) : say("queuePage.next"));
  const change = useChange(id, exercise);
  if (queue.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(queue.error)?.message ?? say("queuePage.failed")}</Notice>
      </Page>
    );
  if (!queue.data) return null;
  const { entries, version, machine, standing, fewest_moves } = queue.data;
  const ids = entries.map(({ client }) => client.id);
  const put = (clients: string[]) => change.mutate({ clients, version });
  return (
    <Page>
      <PageHead>
        <Title>
          {say("queuePage.nextAt")} {machine.name}
        </Title>
        <Muted>{machine.place}</Muted>
      </PageHead>
      {change.error ? <Notice tone="wrong">{refusal(change.error)?.message}</Notice> : null}
      <Section>
        <SectionTitle>{say("queuePage.standsTitle")}</SectionTitle>
        {standing ? <MarkTags tags={standing} /> : <Empty>{say("queuePage.unknownStand")}</Empty>}
      </Section>
      <Section>
        <SectionTitle>{say("queuePage.addTitle")}</SectionTitle>
        {fewest_moves ? (
          <p style={{ marginBottom: space(3) }}>
            <SecondaryButton onPress={() => put(fewest_moves)} isDisabled={change.isPending}>
              {say("queuePage.fewestMoves")}
            </SecondaryButton>
          </p>
        ) : null}
        {entries.length === 0 ? <Empty>{say("queuePage.empty")}</Empty> : null}
        <Rows aria-label={say("queuePage.queue")}>
          {entries.map((entry, index) => (
            <Waiting
              key={entry.client.id}
              entry={entry}
              first={index === 0}
              machineId={id}
              exercise={exercise}
              onLater={index < entries.length - 1 ? () => put(swapped(ids, index)) : null}
              onGone={() => put(ids.filter((one) => one !== entry.client.id))}
            />
          ))}
        </Rows>
      </Section>
      <Section>
        <SectionTitle>{say("queuePage.addSomebody")}</SectionTitle>
        <ClientPicker label={say("queuePage.findLabel")} without={ids} onPick={(client) => put([...ids, client])} />
      </Section>
    </Page>
  );
}

const swapped = (ids: string[], index: number): string[] =>
  ids.map((id, at) => (at === index ? (ids[index + 1] ?? id) : at === index + 1 ? (ids[index] ?? id) : id));

type WaitingProps = {
  entry: Entry;
  first: boolean;
  machineId: string;
  exercise: ExerciseName;
  onLater: (() => void) | null;
  onGone: () => void;
};

function Waiting({ entry, first, machineId, exercise, onLater, onGone }: WaitingProps) {
  const opening = useOpenFitting(entry.client.id);
  const [To, Start] = first ? [PrimaryLink, PrimaryButton] : [SecondaryLink, SecondaryButton];
  return (
    <Row data-waiting={entry.client.name}>
      <div>
        <Strong>{entry.client.name}</Strong> <Small>{entry.client.detail}</Small>
        {entry.load ? (
          <>
            <br />
            <Load>{entry.load}</Load>
          </>
        ) : null}
        {entry.bars.map((bar) => (
          <p key={bar}>
            <Small>{bar}</Small>
          </p>
        ))}
      </div>
      {entry.moves === null ? (
        <MarkTags tags={entry.marks} />
      ) : entry.moves.length === 0 ? (
        <Muted>{say("queuePage.unmoved")}</Muted>
      ) : (
        <Moves aria-label={say("queuePage.movesName", { name: entry.client.name })}>
          {entry.moves.map((move) => (
            <li key={move.label}>
              {move.name} <Strong>{moveText(move)}</Strong>
            </li>
          ))}
        </Moves>
      )}
      <Ends>
        {onLater ? <QuietButton onPress={onLater}>{say("queuePage.later")}</QuietButton> : null}
        <QuietButton onPress={onGone}>{say("queuePage.gone")}</QuietButton>
        {entry.bars.length > 0 ? (
          <SecondaryLink to={`/clients/${entry.client.id}`}>{say("queuePage.card")}</SecondaryLink>
        ) : entry.fitting_id ? (
          <To to={`/fittings/${entry.fitting_id}/set-up`}>{say("queuePage.setUp")}</To>
        ) : (
          <Start onPress={() => opening.mutate({ machineId, exercise })} isDisabled={opening.isPending}>
            {say("queuePage.fit")}
          </Start>
        )}
      </Ends>
    </Row>
  );
}

function useChange(id: string, exercise: ExerciseName) {
  const queryClient = useQueryClient();
  const key = queueQuery(id, exercise).queryKey;
  return useMutation({
    mutationFn: (body: { clients: string[]; version: number }) =>
      unwrap(
        api.PUT("/api/machines/{id}/queue", {
          params: { path: { id }, header: newKey() },
          body: { ...body, exercise },
        }),
      ),
    onSuccess: (queue) => queryClient.setQueryData(key, queue),
    // Somebody else changed it: what stands there is shown, and said.
    onError: () => queryClient.invalidateQueries({ queryKey: key }),
  });
}
