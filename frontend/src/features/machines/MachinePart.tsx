import { say } from "../../lib/say";
import styled from "styled-components";
import type { Family } from "../../api/types";
import { type AdjusterDraft, kindsOf, newAdjuster } from "../../model/machineDraft";
import { SecondaryButton } from "../../ui/Button";
import { Section, SectionTitle } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { AdjusterFields } from "./AdjusterFields";

const Stack = styled.div`
  display: grid;
  gap: ${space(4)};
  justify-items: stretch;
  > button {
    justify-self: start;
  }
`;
type Props = {
  title: string | null;
  adjusters: AdjusterDraft[];
  family: Family;
  part: string;
  problems: Record<string, string>;
  nextKey: number;
  onChange: (adjusters: AdjusterDraft[]) => void;
};

/** The adjusters of one part, in the order in which they are met. */
export function MachinePart({ title, adjusters, family, part, problems, nextKey, onChange }: Props) {
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
          : say("machinePart.adjustersInTheOrderIn")}
      </SectionTitle>
      <Stack>
        {adjusters.map((adjuster, index) => (
          <AdjusterFields
            key={adjuster.key}
            adjuster={adjuster}
            family={family}
            part={part}
            problems={problems}
            place={{ first: index === 0, last: index === adjusters.length - 1 }}
            onChange={(changed) => onChange(adjusters.map((old, at) => (at === index ? changed : old)))}
            onMove={(by) => onChange(swapped(index, by))}
            onRemove={() => onChange(adjusters.filter((_, at) => at !== index))}
          />
        ))}
        {unused ? (
          <SecondaryButton onPress={() => onChange([...adjusters, newAdjuster(unused, nextKey)])}>
            {adjusters.length === 0 ? say("machinePart.addTheFirstAdjuster") : say("machinePart.addTheNextAdjuster")}
          </SecondaryButton>
        ) : null}
      </Stack>
    </Section>
  );
}
