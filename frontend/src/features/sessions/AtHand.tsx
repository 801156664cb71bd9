// The machine at hand: its marks as large as there is room, what has to be moved, and the visit: a set is one touch.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type ComponentProps, useEffect, useState } from "react";
import styled from "styled-components";
import { keys } from "../../api/keys";
import { setUpQuery } from "../../api/queries";
import type { RunningBlock, SessionMember, Staff } from "../../api/types";
import { say } from "../../lib/say";
import { PrimaryButton, QuietButton } from "../../ui/Button";
import { QuietLink } from "../../ui/LinkButton";
import { Choice } from "../../ui/Choice";
import { Notice } from "../../ui/Notice";
import { Small, Strong } from "../../ui/Page";
import { colour, font, radius, size, space } from "../../ui/tokens";
import { CautionLines } from "../shared/CautionLines";
import { useOpenFitting } from "../shared/useOpenFitting";
import { VisitPanel } from "../shared/visit/VisitPanel";
import { First } from "../shared/visit/First";
import { Allowed } from "./Allowed";
import { Moves } from "./Moves";
import { QuickSet } from "./QuickSet";

const Panel = styled.section`
  display: grid;
  gap: ${space(3)};
  h2 {
    font-size: ${size.title};
  }
`;
const Marks = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)};
  li {
    display: grid;
    justify-items: center;
    min-width: 6rem;
    padding: ${space(1)} ${space(3)} ${space(2)};
    border: 1px solid ${colour.lineStrong};
    border-radius: ${radius};
    background: ${colour.panel};
  }
  b {
    font-family: ${font.mark};
    font-size: 4rem;
    line-height: 1;
    letter-spacing: -0.08em;
  }
`;

const Below = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;

type Props = { block: RunningBlock; client: string; me: Staff; running: boolean };

/** Of two in turn the one with fewer sets done is at hand, the first where they are even. */
const atHand = ({ members, done, left }: RunningBlock): SessionMember | undefined => {
  const open = members.filter((_, index) => (left[index] ?? 0) > 0);
  return open.toSorted((one, other) => count(one) - count(other))[0] ?? members[0];
  function count(member: SessionMember) {
    return done[members.indexOf(member)]?.length ?? 0;
  }
};

export function AtHand({ block, client, me, running }: Props) {
  const [chosen, choose] = useState<string | null>(null);
  const member = block.members.find(({ key }) => key === chosen) ?? atHand(block);
  if (!member) return null;
  return (
    <Panel aria-label={say("atHand.name")} data-at-hand={member.machine.name}>
      {block.members.length > 1 ? (
        <Choice
          label={say("atHand.which")}
          compact
          options={block.members.map(({ key, machine }) => [key, machine.name])}
          value={member.key}
          onChange={choose}
        />
      ) : null}
      <h2>
        {member.machine.name} <Small>{member.machine.place}</Small>
      </h2>
      <Marks aria-label={say("atHand.marks")}>
        {member.marks.map(({ label, name, mark }) => (
          <li key={label}>
            <Small>{name}</Small>
            <b>{mark}</b>
          </li>
        ))}
      </Marks>
      <Moves moves={member.moves} />
      {block.closed[block.members.indexOf(member)] ? (
        <Notice tone="wrong">{say("atHand.closed")}</Notice>
      ) : member.fitting_id ? (
        <Visited id={member.fitting_id} me={me} running={running} plan={{ ...member, sets: block.sets }} />
      ) : (
        <Unfitted client={client} member={member} />
      )}
    </Panel>
  );
}

type VisitedProps = { id: string; me: Staff; running: boolean; plan: ComponentProps<typeof QuickSet>["plan"] };

/** The visit that every set-up list has; what is written there counts here. */
function Visited({ id, me, running, plan }: VisitedProps) {
  const setUp = useQuery(setUpQuery(id));
  const [whole, setWhole] = useState(false);
  const queryClient = useQueryClient();
  const sets = setUp.data?.visit.going_on?.sets.length ?? 0;
  const stopped = setUp.data?.visit.going_on?.stopped ?? false;
  useEffect(() => {
    void queryClient.invalidateQueries({ queryKey: keys.anySession });
  }, [queryClient, sets, stopped]);
  if (!setUp.data) return null;
  if (setUp.data.bars.length > 0)
    return (
      <Notice tone="wrong">
        {setUp.data.bars.join(" ")} {say("atHand.barred")}
      </Notice>
    );
  return (
    <>
      {setUp.data.cautions.length > 0 ? <CautionLines cautions={setUp.data.cautions} /> : null}
      <First setUp={setUp.data} />
      {running ? <QuickSet key={id} setUp={setUp.data} me={me.id} plan={plan} /> : null}
      <Allowed sentences={[...setUp.data.allowed, ...(setUp.data.belt ? [setUp.data.belt.says] : [])]} />
      <Below>
        {running ? <QuietButton onPress={() => setWhole(!whole)}>{say("atHand.moreOfSet")}</QuietButton> : null}
        <QuietLink to={`/fittings/${id}/set-up`}>{say("atHand.whole")}</QuietLink>
      </Below>
      {running && whole ? <VisitPanel key={id} setUp={setUp.data} me={me.id} locale={me.gym.locale} /> : null}
      <p>
        <Strong>{say("walkRound.painRule")}</Strong> <Small>{say("walkRound.makerFirst")}</Small>
      </p>
    </>
  );
}

function Unfitted({ client, member }: { client: string; member: SessionMember }) {
  const opening = useOpenFitting(client);
  const [machineId = "", exercise = ""] = member.key.split("/");
  return (
    <div>
      <Notice>{say("atHand.unfitted")}</Notice>
      <p style={{ marginTop: space(3) }}>
        <PrimaryButton isDisabled={opening.isPending} onPress={() => opening.mutate({ machineId, exercise })}>
          {say("atHand.fit", { machine: member.machine.name })}
        </PrimaryButton>
      </p>
    </div>
  );
}
