// The bench's grid: steps, drawing, controls; the findings and the one thing to do next below.
import { Link } from "react-router";
import styled from "styled-components";
import { breakpoint, colour, size, space } from "../../ui/tokens";

/** $short: the steps are folded away, and both sides need more room. */
export const Frame = styled.main<{ $short: boolean }>`
  display: grid;
  grid-template: auto minmax(0, 1fr) auto / ${({ $short }) =>
      $short ? "17.5rem minmax(0, 1fr) 17.5rem" : "15.5rem minmax(0, 1fr) 15.5rem"};
  grid-template-areas: "head head head" "steps figure controls" "findings findings findings";
  height: 100vh;
  min-height: 40rem;
  background: ${colour.panel};
  @media ${breakpoint.narrow} {
    grid-template-columns: 13.5rem minmax(0, 1fr) 14rem;
  }
  /* The picture across the top, steps and controls below it in two columns. */
  @media ${breakpoint.portrait} {
    grid-template: auto 30rem auto auto / minmax(0, 1fr) 18rem;
    grid-template-areas: "head head" "figure figure" "steps controls" "findings findings";
    height: auto;
    min-height: 100vh;
  }
  /* Marks and picture first, the steps after them. */
  @media ${breakpoint.phone} {
    display: flex;
    flex-direction: column;
    height: auto;
  }
`;
export const Head = styled.header`
  grid-area: head;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(1)} ${space(4)};
  min-height: 3.75rem;
  padding: ${space(2)} ${space(5)};
  border-bottom: 1px solid ${colour.line};
  h1 {
    font-size: ${size.large};
  }
`;
export const ClientLink = styled(Link)`
  color: ${colour.ink};
  text-decoration-color: ${colour.line};
  text-underline-offset: 0.25em;
`;
export const Push = styled.span`
  margin-left: auto;
`;
export const FigureArea = styled.section`
  grid-area: figure;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  background: ${colour.ground};
  overflow: hidden;
  @media ${breakpoint.phone} {
    order: 2;
    height: auto;
    grid-template-rows: auto 80vw;
  }
`;

/** What is advised as a whole, above the drawing and never on it. */
export const VerdictArea = styled.div`
  display: grid;
  gap: ${space(1)};
  padding: ${space(1)} ${space(4)};
  font-size: ${size.small};
  line-height: 1.35;
`;
export const VerdictLine = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(1)} ${space(3)};
  min-height: 44px;
`;
