// A client's own card on their phone: marks large, loads, how to get in and out, what to stop for. It opens by a link that only
// they hold, and without a network once it was opened with one.
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { Refused, refusal } from "../../api/client";
import { ownCardQuery } from "../../api/queries";
import type { OwnCard } from "../../api/types";
import { timeText } from "../../lib/dates";
import { say } from "../../lib/say";
import { MarkRow, MarkTag } from "../../ui/MarkTag";
import { Notice } from "../../ui/Notice";
import { Small, Strong, Title } from "../../ui/Page";
import { colour, font, radius, size, space } from "../../ui/tokens";
import { useTitle } from "../../ui/useTitle";
import { forgetCard, keepCard, keptCard } from "./keptCard";
import { forgetOffline, keepOffline } from "./keepOffline";

const Sheet = styled.main`
  display: grid;
  gap: ${space(4)};
  max-width: 34rem;
  margin: 0 auto;
  padding: ${space(5)} ${space(4)} ${space(8)};
`;
const Machine = styled.section`
  display: grid;
  gap: ${space(3)};
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  h2 {
    font-size: ${size.large};
  }
`;
const Load = styled.p`
  font-family: ${font.mark};
  font-size: ${size.title};
  font-weight: ${font.strong};
`;
const Told = styled.dl`
  display: grid;
  gap: ${space(2)};
  dt {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
  dd {
    margin: 0;
  }
`;

export function OwnCardPage() {
  const [kept] = useState(keptCard);
  const [secret] = useState(() => window.location.hash.slice(1) || kept?.secret || "");
  const own = useQuery(ownCardQuery(secret));
  const fresh = own.data;
  useEffect(() => {
    if (!fresh) return;
    keepCard({ secret, card: fresh });
    // Where it cannot be kept, it opens with a network.
    void keepOffline().catch(() => undefined);
  }, [fresh, secret]);
  const over = own.error instanceof Refused && own.error.status === 404;
  useEffect(() => {
    if (!over) return;
    forgetCard();
    void forgetOffline();
  }, [over]);
  const card = over ? undefined : (fresh ?? (kept?.secret === secret ? kept.card : undefined));
  useTitle(card ? say("ownCardPage.title", { gym: card.gym }) : "Verglas");
  return (
    <Sheet>
      {own.error ? (
        <Notice tone={card ? "calm" : "wrong"}>
          {card ? say("ownCardPage.offline") : refusal(own.error)?.message}
        </Notice>
      ) : null}
      {card ? <Shown card={card} /> : null}
    </Sheet>
  );
}

function Shown({ card }: { card: OwnCard }) {
  return (
    <>
      <div>
        <Title>{say("ownCardPage.of", { name: card.name })}</Title>
        <Small>{say("ownCardPage.asOf", { gym: card.gym, time: timeText(card.at, card.locale) })}</Small>
      </div>
      <Notice tone="wrong">
        {say("ownCardPage.help")} {card.stop}
      </Notice>
      {(card.session ?? []).length > 0 ? (
        <Machine aria-label={say("ownCardPage.today")}>
          <h2>{say("ownCardPage.today")}</h2>
          <ol>
            {card.session.map(({ name, sets, repetitions }) => (
              <li key={name}>
                <Strong>{name}</Strong> <Small>{say("chosenBlock.work", { sets, repetitions })}</Small>
              </li>
            ))}
          </ol>
        </Machine>
      ) : null}
      {card.machines.map((machine) => (
        <Machine key={machine.name} aria-label={machine.name}>
          <div>
            <h2>{machine.name}</h2>
            <Small>{machine.place}</Small>
          </div>
          <MarkRow>
            {machine.marks.map(({ name, mark }) => (
              <MarkTag key={name} label={name} mark={mark} />
            ))}
          </MarkRow>
          {machine.load ? <Load>{machine.load}</Load> : null}
          <Told>
            <Said title={say("ownCardPage.light")} text={machine.light} />
            <Said title={say("ownCardPage.first")} text={machine.first} />
            <Said title={say("ownCardPage.in")} text={machine.in} />
            <Said title={say("ownCardPage.how")} text={machine.how} />
            <Said title={say("ownCardPage.out")} text={machine.out} />
          </Told>
        </Machine>
      ))}
      {card.machines.length === 0 ? <p>{say("ownCardPage.none")}</p> : null}
      {card.ask.length > 0 ? (
        <p>
          <Strong>{say("ownCardPage.ask")}</Strong> {card.ask.join(", ")}.
        </p>
      ) : null}
    </>
  );
}

function Said({ title, text }: { title: string; text: string }) {
  return text ? (
    <div>
      <dt>{title}</dt>
      <dd>{text}</dd>
    </div>
  ) : null;
}
