// What a gym that was begun wants before its first client, each ticked as it is done; gone once all of it is.
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import styled from "styled-components";
import { beginningsQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { colour, space } from "../../ui/tokens";

const Row = styled(Link)`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${space(4)};
  align-items: center;
  min-height: 56px;
  padding: ${space(3)} ${space(4)};
  color: ${colour.ink};
  text-decoration: none;
  &:hover {
    background: ${colour.actionQuiet};
  }
  svg {
    color: ${colour.action};
  }
`;
const Told = styled.span`
  display: grid;
`;
const STEPS: readonly (readonly [step: string, to: string, title: string, hint: string])[] = [
  ["machines", "/machines/new", say("beginnings.machines"), say("beginnings.machinesHint")],
  ["cautions", "/rules#cautions", say("beginnings.cautions"), say("beginnings.cautionsHint")],
  ["staff", "/gym/staff", say("beginnings.staff"), say("beginnings.staffHint")],
  ["tablets", "/you", say("beginnings.tablets"), say("beginnings.tabletsHint")],
];

export function Beginnings() {
  const done = useQuery(beginningsQuery).data;
  if (!done || STEPS.every(([step]) => done[step])) return null;
  return (
    <Section>
      <SectionTitle>{say("beginnings.title")}</SectionTitle>
      <Rows aria-label={say("beginnings.title")}>
        {STEPS.map(([step, to, title, hint]) => (
          <li key={step} data-step={step} data-done={done[step] ? "" : undefined}>
            <Row to={to}>
              <Done done={done[step] ?? false} />
              <Told>
                <Strong>{title}</Strong>
                <Small>{hint}</Small>
              </Told>
            </Row>
          </li>
        ))}
      </Rows>
    </Section>
  );
}

function Done({ done }: { done: boolean }) {
  return (
    <svg
      width="28"
      height="28"
      viewBox="0 0 28 28"
      role="img"
      aria-label={done ? say("beginnings.done") : say("beginnings.open")}
    >
      <circle cx="14" cy="14" r="11" fill={done ? "currentColor" : "none"} stroke="currentColor" strokeWidth="2" />
      {done ? <path d="M8.5 14.5l4 4 7.5-8.5" fill="none" stroke={colour.panel} strokeWidth="2.5" /> : null}
    </svg>
  );
}
