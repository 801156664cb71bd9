import styled from "styled-components";
import { breakpoint, colour, font, size, space } from "../../ui/tokens";

/** The right-hand column of the bench: what the step at hand is done with. */
/** $dense: many things stand in it, closer together. */
export const Panel = styled.section<{ $dense?: boolean }>`
  grid-area: controls;
  border-left: 1px solid ${colour.line};
  padding: ${space(3)};
  display: grid;
  gap: ${({ $dense }) => ($dense ? space(2) : space(4))};
  align-content: start;
  overflow-y: auto;
  position: relative;
  @media ${breakpoint.phone} {
    order: 1;
    border-left: 0;
  }
`;
export const PanelTitle = styled.h2`
  font-size: ${size.text};
  font-weight: ${font.strong};
  margin-bottom: ${space(1)};
`;
