import { say } from "../../lib/say";
import styled from "styled-components";
import type { Family } from "../../api/types";
import { type AdjusterDraft, type Asked, kindsOf, newAdjuster } from "../../model/machineDraft";
import { QuietButton, SecondaryButton } from "../../ui/Button";
import { Section, SectionTitle, Small } from "../../ui/Page";
import { colour, space } from "../../ui/tokens";
import { AdjusterFields } from "./AdjusterFields";

const Stack = styled.div`
  display: grid;
  gap: ${space(4)};
  justify-items: stretch;
  > button {
    justify-self: start;
  }
`;
const Question = styled.div`
  display: grid;
  gap: ${space(2)};
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    align-items: center;
    gap: ${space(2)};
    padding: ${space(1)} 0 ${space(1)} ${space(3)};
    border-left: 4px solid ${colour.line};
  }
  li + li {
    border-top: 1px solid ${colour.line};
  }
  li[data-missing] {
    border-left-color: ${colour.off};
  }
`;
type Props = {
  title: string | null;
  adjusters: AdjusterDraft[];
  family: Family;
  part: string;
  problems: Record<string, string>;
  asked: readonly Asked[];
  onAbsent: (key: string) => void;
  nextKey: number;
  onChange: (adjusters: AdjusterDraft[]) => void;
};

/** The adjusters of one part, in the order in which they are met. */
export function MachinePart({ title, adjusters, family, part, problems, asked, onAbsent, nextKey, onChange }: Props) {
  const kinds = kindsOf(family, part);
  const unused = kinds.find(({ name }) => !adjusters.some((adjuster) => adjuster.kind === name)) ?? kinds[0];
  const swapped = (index: number, by: 1 | -1) => {
    const list = [...adjusters];
    const [moved] = list.splice(index, 1);
    if (moved) list.splice(index + by, 0, moved);
    return list;
  };
  return (
    <Section>
      <SectionTitle>
        {title
          ? say("machinePart.adjustersTitle", { title: title.toLowerCase() })
          : say("machinePart.adjustersHeading")}
      </SectionTitle>
      <Stack>
        {adjusters.map((adjuster, index) => (
          <AdjusterFields
            key={adjuster.key}
            adjuster={adjuster}
            family={family}
            part={part}
            problems={problems}
            adjusters={adjusters}
            place={{ first: index === 0, last: index === adjusters.length - 1 }}
            onChange={(changed) => onChange(adjusters.map((old, at) => (at === index ? changed : old)))}
            onMove={(by) => onChange(swapped(index, by))}
            onRemove={() => onChange(adjusters.filter((_, at) => at !== index))}
          />
        ))}
        {asked.length > 0 ? (
          <Question>
            <Small>{say("machinePart.presentQuestion")}</Small>
            <ul aria-label={say("machinePart.presentQuestion")}>
              {asked.map(({ key, kind, title: name }) => (
                <li key={key} data-asked={kind.name} data-missing={`asked ${key}` in problems || undefined}>
                  <span>{name}</span>
                  <SecondaryButton
                    aria-label={say("machinePart.enterIt", { title: name })}
                    onPress={() => onChange([...adjusters, newAdjuster(kind, nextKey)])}
                  >
                    {say("machinePart.itIs")}
                  </SecondaryButton>
                  <QuietButton aria-label={say("machinePart.notThere", { title: name })} onPress={() => onAbsent(key)}>
                    {say("machinePart.itIsNot")}
                  </QuietButton>
                </li>
              ))}
            </ul>
          </Question>
        ) : null}
        {unused ? (
          <SecondaryButton onPress={() => onChange([...adjusters, newAdjuster(unused, nextKey)])}>
            {adjusters.length === 0 ? say("machinePart.addFirst") : say("machinePart.addNext")}
          </SecondaryButton>
        ) : null}
      </Stack>
    </Section>
  );
}
