import styled from "styled-components";
import { breakpoint, colour, font, radius, size, space } from "./tokens";

/** Rows to be read across, on a phone scrolled sideways within itself. */
export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  th,
  td {
    padding: ${space(2)} ${space(3)};
    text-align: left;
    vertical-align: top;
    font-weight: ${font.regular};
  }
  thead th {
    font-size: ${size.small};
    color: ${colour.inkMuted};
  }
  tr + tr > *,
  tbody tr:first-child > * {
    border-top: 1px solid ${colour.line};
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.inkMuted};
    font-weight: ${font.regular};
  }
  @media ${breakpoint.phone} {
    display: block;
    overflow-x: auto;
  }
`;
