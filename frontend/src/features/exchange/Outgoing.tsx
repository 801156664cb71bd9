// What goes out: a table of each kind, the whole gym as one archive; with health notes only when that is said, and told what it means.
import { useState } from "react";
import styled from "styled-components";
import { say } from "../../lib/say";
import { SecondaryButton, secondary } from "../../ui/Button";
import { Dialogue } from "../../ui/Dialogue";
import { Notice } from "../../ui/Notice";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { colour, font, radius, space, target } from "../../ui/tokens";
import { OUT } from "./kinds";

const Files = styled.ul`
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  margin-bottom: ${space(3)};
  > li + li {
    border-top: 1px solid ${colour.line};
  }
  a {
    display: grid;
    align-content: center;
    min-height: ${target.step};
    padding: ${space(1)} ${space(4)};
    color: ${colour.ink};
    text-decoration: none;
  }
  a:hover {
    background: ${colour.actionQuiet};
  }
  strong {
    font-weight: ${font.strong};
  }
`;
const FileLink = styled.a`
  ${secondary}
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin: ${space(3)} 0;
`;

export function Outgoing() {
  const [asked, setAsked] = useState(false);
  return (
    <div>
      <Section>
        <SectionTitle>{say("exchange.tables")}</SectionTitle>
        <Files>
          {OUT.map(({ kind, name, holds }) => (
            <li key={kind}>
              <a href={`/api/export/${kind}.csv`} download>
                <strong>{name}</strong>
                <Small>{holds}</Small>
              </a>
            </li>
          ))}
        </Files>
        <Small>{say("exchange.tablesHint")}</Small>
      </Section>
      <Section>
        <SectionTitle>{say("exchange.wholeGym")}</SectionTitle>
        <Small>{say("exchange.wholeGymHint")}</Small>
        <Ways>
          <FileLink href="/api/export/gym.json" download>
            {say("exchange.healthExcluded")}
          </FileLink>
          <SecondaryButton onPress={() => setAsked(true)}>{say("exchange.healthIncluded")}</SecondaryButton>
        </Ways>
      </Section>
      <Dialogue title={say("exchange.healthInClear")} isOpen={asked} onClose={() => setAsked(false)}>
        <Notice tone="wrong">{say("exchange.healthWarning")}</Notice>
        <Ways>
          <FileLink href="/api/export/gym-with-health-notes.json" download onClick={() => setAsked(false)}>
            {say("exchange.takeWithHealthNotes")}
          </FileLink>
        </Ways>
      </Dialogue>
    </div>
  );
}
