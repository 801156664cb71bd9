// What comes after the machine at hand, and what can be done where that one cannot be.
import styled from "styled-components";
import type { RunningBlock, Session } from "../../api/types";
import { say } from "../../lib/say";
import type { WishEvent } from "../../model/wishes";
import { QuietButton, SecondaryButton } from "../../ui/Button";
import { Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { blockId, blockName } from "./blocks";
import { Moves } from "./Moves";

const Ways = styled.div`
  display: grid;
  gap: ${space(2)};
  margin-top: ${space(3)};
`;

type Props = {
  session: Session;
  current: RunningBlock | null;
  tell: (event: WishEvent) => void;
  busy: boolean;
};

export function UpNext({ session, current, tell, busy }: Props) {
  const ahead = session.blocks.filter(
    (block) => block.left.some((left) => left > 0) && (!current || blockId(block) !== blockId(current)),
  );
  const next = ahead[0];
  return (
    <div>
      <Section>
        <SectionTitle>{say("runningPage.next")}</SectionTitle>
        {next ? (
          <div data-next={blockName(next)}>
            {next.members.map((member) => (
              <p key={member.key}>
                <Strong>{member.machine.name}</Strong> <Small>{member.machine.place}</Small>
                <br />
                <Moves moves={member.moves} />
                {member.load ? <Small>, {member.load}</Small> : null}
              </p>
            ))}
          </div>
        ) : (
          <p>{say("runningPage.nothingAfter")}</p>
        )}
      </Section>
      {session.state === "running" && current ? (
        <Ways>
          {current.keys.map((key, index) => (
            <SecondaryButton key={key} isDisabled={busy} onPress={() => tell({ type: "taken", key })}>
              {say("runningPage.taken", { machine: current.members[index]?.machine.name })}
            </SecondaryButton>
          ))}
          {current.keys.map((key, index) => (
            <SecondaryButton key={key} isDisabled={busy} onPress={() => tell({ type: "leave out", key })}>
              {say("chosenBlock.leaveOutOne", { machine: current.members[index]?.machine.name })}
            </SecondaryButton>
          ))}
          {(session.wishes.taken ?? []).map((key) => (
            <QuietButton key={key} isDisabled={busy} onPress={() => tell({ type: "free", key })}>
              {say("runningPage.free", { machine: nameOf(session, key) })}
            </QuietButton>
          ))}
        </Ways>
      ) : null}
    </div>
  );
}

const nameOf = ({ blocks, beside }: Session, key: string): string =>
  blocks.flatMap(({ members }) => members).find((member) => member.key === key)?.machine.name ??
  beside.find((line) => line.key === key)?.name ??
  "";
