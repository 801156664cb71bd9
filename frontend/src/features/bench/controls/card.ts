// What a control of the bench is made of: large, or as a row where many stand together.
import styled from "styled-components";
import { colour, font, radius, size, space, target } from "../../../ui/tokens";

export const Card = styled.div<{ $active: boolean }>`
  display: grid;
  grid-template-columns: ${target.step} 1fr ${target.step};
  grid-template-rows: auto auto auto;
  gap: ${space(2)};
  align-items: center;
  padding: ${space(3)};
  border-radius: ${radius};
  border: 1px solid ${({ $active }) => ($active ? colour.action : colour.line)};
  box-shadow: ${({ $active }) => ($active ? `inset 0 0 0 1px ${colour.action}` : "none")};
  background: ${colour.panel};
`;
export const Top = styled.div`
  grid-column: 1 / -1;
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: ${space(2)};
  h2 {
    font-size: ${size.text};
  }
`;
export const Mark = styled.output<{ $long: boolean }>`
  justify-self: center;
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${({ $long }) => ($long ? size.large : size.mark)};
  line-height: 1;
  letter-spacing: -0.1em;
`;
export const Outcomes = styled.div`
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space(2)};
  min-height: 2.1rem;
`;

export const Recorded = styled.span`
  grid-column: 1 / -1;
  font-size: ${size.small};
  color: ${colour.inkMuted};
`;

/** A row of one height, so that every adjuster of a machine with many stands without scrolling. */
export const Row = styled(Card)`
  grid-template-rows: auto;
  padding: ${space(1)} ${space(2)};
`;
export const Middle = styled.div`
  display: grid;
  justify-items: center;
  line-height: 1.15;
  output {
    font-size: ${size.title};
  }
  h2 {
    font-size: ${size.small};
  }
`;
