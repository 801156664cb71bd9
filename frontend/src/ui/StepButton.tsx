import { Button } from "react-aria-components";
import styled from "styled-components";
import { colour, radius, size, space, target } from "./tokens";

/** One step down or up, large enough for a thumb. */
export const StepButton = styled(Button)`
  height: ${target.step};
  border: 1px solid ${colour.lineStrong};
  border-radius: ${radius};
  background: ${colour.ground};
  font-size: ${size.title};
  line-height: 1;
  cursor: pointer;
  &[data-hovered] {
    background: ${colour.actionQuiet};
    border-color: ${colour.action};
  }
  &[data-disabled] {
    opacity: 0.35;
    cursor: default;
  }
`;

/** A step either side of what is stepped. */
export const Stepper = styled.div`
  display: grid;
  grid-template-columns: ${target.step} minmax(0, 1fr) ${target.step};
  gap: ${space(2)};
  align-items: center;
  text-align: center;
`;
