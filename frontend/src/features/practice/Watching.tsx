// A repetition is watched: what is seen is ticked first, and told afterwards; what is behind it, and what is said.
import { useState } from "react";
import { CheckboxGroup } from "react-aria-components";
import styled from "styled-components";
import { say } from "../../lib/say";
import { SecondaryButton } from "../../ui/Button";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { Select } from "../../ui/Select";
import { Tick } from "../../ui/Tick";
import { space } from "../../ui/tokens";
import { type Hand, NONE } from "./hand";
import { Row } from "./layout";

const Looks = styled.ol`
  display: grid;
  gap: ${space(2)};
  margin-bottom: ${space(3)};
`;

export function Watching({ run, busy, onDo }: Hand) {
  const [named, setNamed] = useState<string[]>([]);
  const { looks, signs, causes, cues, watched_here } = run;
  return (
    <Section style={{ display: "grid", gap: space(2) }}>
      <SectionTitle>{say("runPage.watch")}</SectionTitle>
      <Looks>
        {looks.map(({ marks, in_joint, seen, missed }, index) => (
          <li key={`${index}-${marks}`} data-look={index + 1}>
            <Small>{marks}</Small>
            <br />
            {seen.length > 0 ? say("runPage.wasSeen", { signs: seen.join("; ") }) : say("runPage.nothingSeen")}
            {in_joint ? <> {say("runPage.inJoint")}</> : null}
            {missed.length > 0 ? <Small> {say("runPage.missed", { signs: missed.join("; ") })}</Small> : null}
          </li>
        ))}
      </Looks>
      {watched_here
        ? causes.map(({ sign, title, chosen, causes: all }) => (
            <Select
              key={sign}
              label={say("runPage.behind", { sign: title })}
              options={[[NONE, say("runPage.choose")], ...all.map((cause) => [cause.name, cause.title] as const)]}
              value={chosen ?? NONE}
              onChange={(cause) => (cause !== NONE && !busy ? onDo({ do: "cause", sign, cause }) : undefined)}
            />
          ))
        : null}
      {looks.length > 0 ? (
        <Select
          label={say("runPage.say")}
          options={[[NONE, say("runPage.choose")], ...cues.map(({ name, words }) => [name, words] as const)]}
          value={NONE}
          onChange={(cue) => (cue !== NONE && !busy ? onDo({ do: "cue", cue }) : undefined)}
        />
      ) : null}
      <details open={looks.length === 0}>
        <summary>{say("runPage.tick")}</summary>
        <CheckboxGroup aria-label={say("runPage.tick")} value={named} onChange={setNamed}>
          {signs.map(({ name, title }) => (
            <Tick key={name} value={name}>
              {title}
            </Tick>
          ))}
        </CheckboxGroup>
      </details>
      <Row>
        <SecondaryButton isDisabled={busy} onPress={() => onDo({ do: "watch", named })}>
          {named.length > 0 ? say("runPage.seenThese", { count: named.length }) : say("runPage.seenNothing")}
        </SecondaryButton>
      </Row>
    </Section>
  );
}
