import styled from "styled-components";
import { breakpoint, colour, font, radius, size, space } from "./tokens";

export const Page = styled.main`
  padding: ${space(6)} ${space(7)} ${space(10)};
  max-width: 1280px;
  @media ${breakpoint.phone} {
    padding: ${space(4)};
  }
`;
export const PageHead = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: ${space(2)} ${space(4)};
  margin-bottom: ${space(5)};
`;
export const Title = styled.h1`
  font-size: ${size.title};
`;
export const Section = styled.section`
  & + & {
    margin-top: ${space(7)};
  }
`;
export const SectionTitle = styled.h2`
  font-size: ${size.large};
  margin-bottom: ${space(3)};
`;
export const Muted = styled.span`
  color: ${colour.inkMuted};
`;
export const Small = styled.span`
  color: ${colour.inkMuted};
  font-size: ${size.small};
`;
export const Rows = styled.ul`
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  > li + li {
    border-top: 1px solid ${colour.line};
  }
`;
export const Empty = styled.p`
  padding: ${space(4)};
  border: 1px dashed ${colour.lineStrong};
  border-radius: ${radius};
  color: ${colour.inkMuted};
`;
export const Strong = styled.span`
  font-weight: ${font.strong};
`;
/** Two halves beside one another; where there is little room, one under the other. */
export const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space(8)};
  align-items: start;
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** What a page is asked for, above what it shows; not on paper. */
export const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(3)} ${space(6)};
  align-items: end;
  margin-bottom: ${space(5)};
  @media print {
    display: none;
  }
`;
