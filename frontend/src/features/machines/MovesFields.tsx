// Getting in and out, move by move: picked from what is usual, put in order, with who does it.
import { say } from "../../lib/say";
import { useState } from "react";
import styled from "styled-components";
import type { Family, Moves } from "../../api/types";
import { QuietButton, SecondaryButton } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Empty } from "../../ui/Page";
import { FieldLabel } from "../../ui/Field";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { breakpoint, colour, radius, space } from "../../ui/tokens";

const Both = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: ${space(6)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const List = styled.ol`
  display: grid;
  gap: ${space(2)};
  margin: ${space(2)} 0 ${space(3)};
  li {
    display: grid;
    gap: ${space(1)};
    padding: ${space(2)} ${space(3)};
    border: 1px solid ${colour.line};
    border-radius: ${radius};
  }
`;
const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(2)};
`;
const Adding = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space(3)};
  align-items: end;
`;
const WHO = [
  ["client", say("movesFields.client")],
  ["instructor", say("movesFields.instructor")],
] as const;

type Way = "in" | "out";
type Entry = Moves["in"][number];
type Props = { family: Family; moves: Moves; onChange: (moves: Moves) => void };

export function MovesFields({ family, moves, onChange }: Props) {
  return (
    <Both>
      {(["in", "out"] as const).map((way) => (
        <OneWay
          key={way}
          way={way}
          usual={family.moves[way]}
          entries={moves[way]}
          onChange={(entries) => onChange({ ...moves, [way]: entries })}
        />
      ))}
    </Both>
  );
}

type OneWayProps = {
  way: Way;
  usual: Family["moves"]["in"];
  entries: readonly Entry[];
  onChange: (entries: Entry[]) => void;
};

function OneWay({ way, usual, entries, onChange }: OneWayProps) {
  const left = usual.filter(({ name }) => !entries.some(({ move }) => move === name));
  const [picked, setPicked] = useState<string | null>(null);
  const next = left.find(({ name }) => name === picked) ?? left[0];
  const title = way === "in" ? say("movesFields.in") : say("movesFields.out");
  const changed = (index: number, fields: Partial<Entry>) =>
    onChange(entries.map((one, at) => (at === index ? { ...one, ...fields } : one)));
  const moved = (index: number, by: 1 | -1) => {
    const list = [...entries];
    const [one] = list.splice(index, 1);
    if (one) list.splice(index + by, 0, one);
    onChange(list);
  };
  return (
    <div data-moves={way}>
      <FieldLabel as="span">{title}</FieldLabel>
      {entries.length === 0 ? <Empty>{say("movesFields.none")}</Empty> : null}
      <List aria-label={title}>
        {entries.map((entry, index) => {
          const move = usual.find(({ name }) => name === entry.move);
          const name = move?.title ?? entry.move;
          return (
            <li key={entry.move} data-move={entry.move}>
              <span>
                {index + 1}. {name}
              </span>
              <Row>
                <Choice
                  compact
                  tight
                  label={say("movesFields.who", { name })}
                  options={WHO}
                  value={entry.who}
                  onChange={(who) => changed(index, { who })}
                />
                <QuietButton
                  aria-label={say("movesFields.earlier", { name })}
                  isDisabled={index === 0}
                  onPress={() => moved(index, -1)}
                >
                  ↑
                </QuietButton>
                <QuietButton
                  aria-label={say("movesFields.later", { name })}
                  isDisabled={index === entries.length - 1}
                  onPress={() => moved(index, 1)}
                >
                  ↓
                </QuietButton>
                <QuietButton
                  aria-label={say("movesFields.outNamed", { name })}
                  onPress={() => onChange(entries.filter((_, at) => at !== index))}
                >
                  {say("movesFields.takeOut")}
                </QuietButton>
              </Row>
              {move?.catch ? (
                <Tick isSelected={entry.frees} onChange={(frees) => changed(index, { frees })}>
                  {say("movesFields.freesItself")}
                </Tick>
              ) : null}
            </li>
          );
        })}
      </List>
      {next ? (
        <Adding>
          <Select
            label={say("movesFields.next")}
            options={left.map(({ name, title: words }) => [name, words] as const)}
            value={next.name}
            onChange={setPicked}
          />
          <SecondaryButton
            onPress={() => {
              onChange([...entries, { move: next.name, who: next.who, frees: false }]);
              setPicked(null);
            }}
          >
            {say("movesFields.add")}
          </SecondaryButton>
        </Adding>
      ) : null}
    </div>
  );
}
