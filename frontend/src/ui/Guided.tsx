// A page on which measures are taken one after another: the list on the left, how it is done in the middle, the form on the
// right. For a body's tape and a machine's.
import { say } from "../lib/say";
import { Button } from "react-aria-components";
import styled from "styled-components";
import { PageHead } from "./Page";
import { breakpoint, colour, font, radius, size, space, target } from "./tokens";

export const GuidedColumns = styled.div`
  display: grid;
  grid-template-columns: 18rem minmax(0, 1fr) 20rem;
  gap: ${space(4)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: 16rem minmax(0, 1fr);
  }
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
export const GuidedList = styled.ul`
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  > li + li {
    border-top: 1px solid ${colour.line};
  }
`;
export const GuidedItem = styled(Button)`
  width: 100%;
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 ${space(2)};
  align-items: center;
  align-content: center;
  min-height: ${target.least};
  padding: ${space(1.5)} ${space(3)};
  border: 0;
  border-left: 4px solid transparent;
  background: none;
  text-align: left;
  line-height: 1.25;
  cursor: pointer;
  outline-offset: -3px;
  &[aria-current="step"] {
    border-left-color: ${colour.action};
    background: ${colour.actionQuiet};
    font-weight: ${font.strong};
  }
  &[data-hovered] {
    background: ${colour.actionQuiet};
  }
  b {
    font-family: ${font.mark};
    word-spacing: -0.3em;
  }
  small {
    grid-column: 1 / -1;
    font-size: ${size.small};
    font-weight: ${font.regular};
    color: ${colour.inkMuted};
  }
`;
export const GuidedPicture = styled.figure`
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panelQuiet};
  overflow: hidden;
`;
export const GuidedHead = styled(PageHead)`
  justify-content: space-between;
  align-items: center;
`;
export const GuidedEnds = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)};
  align-items: center;
`;

export const LENGTH_UNITS = [
  ["cm", "cm"],
  ["in", say("units.inches")],
] as const;
