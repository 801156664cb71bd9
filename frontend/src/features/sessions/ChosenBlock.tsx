// One block of a plan, whole: marks large, load, why it stands where it does, and what can be done with it.
import styled from "styled-components";
import type { SessionBlock, SessionMember } from "../../api/types";
import { say } from "../../lib/say";
import { moved, type WishEvent, type Wishes } from "../../model/wishes";
import { SecondaryButton } from "../../ui/Button";
import { MarkTags } from "../../ui/MarkTag";
import { Muted, Small } from "../../ui/Page";
import { breakpoint, colour, font, radius, size, space } from "../../ui/tokens";
import { Allowed } from "./Allowed";
import { blockId } from "./blocks";
import { Moves } from "./Moves";

const Panel = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 4fr);
  gap: ${space(3)} ${space(6)};
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Machine = styled.div`
  display: grid;
  gap: ${space(2)};
  h2 {
    font-size: ${size.large};
  }
`;
const Load = styled.b`
  margin-right: ${space(3)};
  font-family: ${font.mark};
  font-size: ${size.title};
  word-spacing: -0.3em;
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-top: ${space(3)};
`;

type Props = {
  block: SessionBlock;
  all: readonly SessionBlock[];
  wishes: Wishes;
  tell: (event: WishEvent) => void;
};

export function ChosenBlock({ block, all, wishes, tell }: Props) {
  const ids = all.map(blockId);
  const at = ids.indexOf(blockId(block));
  const order = (before: string | null) =>
    tell({
      type: "order",
      keys: moved(ids, blockId(block), before).flatMap((id) => all.find((one) => blockId(one) === id)?.keys ?? []),
    });
  const kept = block.keys.every((key) => wishes.kept.includes(key));
  return (
    <Panel aria-label={say("chosenBlock.name")} data-chosen-block>
      <Machine>
        {block.members.map((member) => (
          <Told key={member.key} member={member} sets={block.sets} />
        ))}
      </Machine>
      <div>
        <ul aria-label={say("chosenBlock.why")}>
          {block.why.map((why) => (
            <li key={why}>{why}</li>
          ))}
        </ul>
        <Ways>
          <SecondaryButton
            onPress={() => block.keys.forEach((key) => tell({ type: kept ? "let go" : "keep", key }))}
            aria-pressed={kept}
          >
            {kept ? say("chosenBlock.letGo") : say("chosenBlock.keep")}
          </SecondaryButton>
          <SecondaryButton isDisabled={at <= 0} onPress={() => order(ids[at - 1] ?? null)}>
            {say("chosenBlock.earlier")}
          </SecondaryButton>
          <SecondaryButton isDisabled={at === ids.length - 1} onPress={() => order(ids[at + 2] ?? null)}>
            {say("chosenBlock.later")}
          </SecondaryButton>
          {block.keys.length > 1 ? (
            <SecondaryButton onPress={() => tell({ type: "by themselves", keys: block.keys })}>
              {say("chosenBlock.byThemselves")}
            </SecondaryButton>
          ) : null}
          {block.members.map(({ key, machine }) => (
            <SecondaryButton key={key} onPress={() => tell({ type: "leave out", key })}>
              {block.members.length > 1
                ? say("chosenBlock.leaveOutOne", { machine: machine.name })
                : say("chosenBlock.leaveOut")}
            </SecondaryButton>
          ))}
        </Ways>
      </div>
    </Panel>
  );
}

function Told({ member, sets }: { member: SessionMember; sets: number }) {
  return (
    <div data-member={member.machine.name}>
      <h2>
        {member.machine.name} <Small>{member.machine.place}</Small>
      </h2>
      <MarkTags tags={member.marks} />
      <p>
        {member.load ? <Load>{member.load}</Load> : <Muted>{say("chosenBlock.noLoad")} · </Muted>}
        <Muted>
          {[
            say("chosenBlock.work", { sets, repetitions: member.repetitions }),
            member.light ? say("chosenBlock.light", { load: member.light }) : "",
          ]
            .filter(Boolean)
            .join(" · ")}
        </Muted>
      </p>
      <Moves moves={member.moves} />
      <Allowed sentences={[...member.aids, ...member.allowed]} />
      {member.ladder ? (
        <p>
          <Small>{member.ladder}</Small>
        </p>
      ) : null}
    </div>
  );
}
