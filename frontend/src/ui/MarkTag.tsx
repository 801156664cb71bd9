import styled from "styled-components";
import type { Tags } from "../api/types";
import { colour, font, radius, size, space } from "./tokens";

const Frame = styled.span`
  display: inline-flex;
  flex-direction: column;
  align-items: center;
  min-width: 4.25rem;
  padding: ${space(1)} ${space(2)} ${space(1.5)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panelQuiet};
`;
const Label = styled.span`
  font-size: ${size.small};
  color: ${colour.inkMuted};
  line-height: 1.3;
`;
const Mark = styled.span`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.title};
  line-height: 1.05;
  letter-spacing: -0.1em;
`;

/** A mark set like a stamped tag: the adjuster above, the mark as printed on the machine large below. */
export function MarkTag({ label, mark }: { label: string; mark: string }) {
  return (
    <Frame data-mark={mark}>
      <Label>{label}</Label>
      <Mark>{mark}</Mark>
    </Frame>
  );
}

/** Marks in the machine's order, a tag an adjuster. */
export function MarkTags({ tags }: { tags: Tags }) {
  return (
    <MarkRow>
      {tags.map((tag) => (
        <MarkTag key={tag.label} label={tag.name} mark={tag.mark} />
      ))}
    </MarkRow>
  );
}

export const MarkRow = styled.span`
  display: inline-flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;
