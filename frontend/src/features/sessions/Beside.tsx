// What stands beside the line: what it would cost, why it is not there, and what would save time.
import styled from "styled-components";
import type { SessionPlan } from "../../api/types";
import { say } from "../../lib/say";
import type { WishEvent } from "../../model/wishes";
import { SecondaryButton } from "../../ui/Button";
import { Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { breakpoint, colour, radius, space } from "../../ui/tokens";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space(6)};
  align-items: start;
  margin-top: ${space(6)};
  && > section + section {
    margin-top: 0;
  }
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Row = styled.li`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: ${space(3)};
  min-height: 3.5rem;
  padding: ${space(1)} ${space(4)};
`;
const Closed = styled(Strong)`
  color: ${colour.off};
`;
const Turn = styled.div`
  display: grid;
  gap: ${space(3)};
  justify-items: start;
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  & + & {
    margin-top: ${space(2)};
  }
`;

type Line = SessionPlan["beside"][number];
type Props = { plan: SessionPlan; tell: (event: WishEvent) => void };

/** Those that a touch puts in: more minutes where it is a further set. */
const PUT_IN = ["no_time", "left_out", "same_action", "spare"] as const;
const putIn = (line: Line) => (PUT_IN as readonly string[]).includes(line.why);

export function Beside({ plan, tell }: Props) {
  const { beside, kept_off, turns, minutes } = plan;
  return (
    <Columns>
      {beside.length + kept_off.length > 0 ? (
        <Section>
          <SectionTitle>{say("beside.title")}</SectionTitle>
          <Rows aria-label={say("beside.title")}>
            {beside.map((line) => (
              <Row key={`${line.key} ${line.why} ${line.name}`} data-beside={line.name}>
                <span>
                  {line.why === "hurt" || line.why === "stopped" ? (
                    <Closed>{line.name}</Closed>
                  ) : (
                    <Strong>{line.name}</Strong>
                  )}{" "}
                  <Small>{line.says}</Small>
                </span>
                <Way line={line} minutes={minutes} tell={tell} />
              </Row>
            ))}
            {kept_off.map((line) => (
              <Row key={line.key} data-kept-off={line.name}>
                <span>
                  <Closed>{line.name}</Closed> <Small>{line.why.join(" ")}</Small>{" "}
                  {line.instead ? <Small>{say("beside.instead", { machine: line.instead })}</Small> : null}
                </span>
              </Row>
            ))}
          </Rows>
        </Section>
      ) : null}
      {turns.length > 0 ? (
        <Section>
          <SectionTitle>{say("beside.turns")}</SectionTitle>
          {turns.map(({ keys, says }) => (
            <Turn key={keys.join(" ")}>
              <p>{says}</p>
              <SecondaryButton onPress={() => tell({ type: "in turn", keys: [keys[0] ?? "", keys[1] ?? ""] })}>
                {say("beside.doInTurn")}
              </SecondaryButton>
            </Turn>
          ))}
        </Section>
      ) : null}
    </Columns>
  );
}

function Way({ line, minutes, tell }: { line: Line; minutes: number; tell: Props["tell"] }) {
  const { key, seconds } = line;
  if (key === null) return null;
  if (line.why === "more_sets" && seconds)
    return (
      <SecondaryButton onPress={() => tell({ type: "minutes", minutes: minutes + Math.ceil(seconds / 60) })}>
        {say("beside.moreTime", { minutes: Math.ceil(seconds / 60) })}
      </SecondaryButton>
    );
  if (!putIn(line)) return null;
  return <SecondaryButton onPress={() => tell({ type: "put in", key })}>{say("beside.putIn")}</SecondaryButton>;
}
