// What kind of machine it is, chosen by its drawing: a middle body on each, from the core's own lengths.
import { Radio, RadioGroup } from "react-aria-components";
import styled from "styled-components";
import type { Family } from "../../api/types";
import { say } from "../../lib/say";
import { SceneDrawing } from "../../scene/SceneDrawing";
import { FieldHint, FieldLabel } from "../../ui/Field";
import { colour, font, radius, size, space } from "../../ui/tokens";

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
  gap: ${space(2)};
`;
const Kind = styled(Radio)`
  display: grid;
  grid-template-rows: 6.5rem auto;
  align-items: start;
  gap: ${space(1)};
  padding: ${space(2)};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.panel};
  font-size: ${size.small};
  line-height: 1.25;
  cursor: pointer;
  svg {
    height: 6.5rem;
  }
  &[data-hovered] {
    background: ${colour.actionQuiet};
  }
  &[data-selected] {
    border-color: ${colour.action};
    box-shadow: inset 0 0 0 2px ${colour.action};
    background: ${colour.actionQuiet};
    font-weight: ${font.strong};
  }
`;

const Drawings = styled.span`
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 1fr);
`;

type Props = { families: readonly Family[]; value: string; onChange: (id: string) => void };

export function FamilyChoice({ families, value, onChange }: Props) {
  const chosen = families.find(({ id }) => id === value);
  return (
    <RadioGroup value={value} onChange={onChange}>
      <FieldLabel>{say("machineForm.familyLabel")}</FieldLabel>
      <Grid>
        {families.map(({ id, name, scenes }) => (
          <Kind key={id} value={id} data-family={id}>
            <Drawings aria-hidden="true">
              {scenes.map((scene, index) => (
                <SceneDrawing key={index} scene={scene} description="" />
              ))}
            </Drawings>
            {name}
          </Kind>
        ))}
      </Grid>
      <FieldHint slot="description">{chosen?.hint ?? say("machineForm.familyHint")}</FieldHint>
    </RadioGroup>
  );
}
