import { Link } from "react-router";
import styled from "styled-components";
import { colour, space } from "../../ui/tokens";

/** A whole row as one link. */
export const RowLink = styled(Link)`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: ${space(2)} ${space(4)};
  min-height: 56px;
  padding: ${space(3)} ${space(4)};
  color: ${colour.ink};
  text-decoration: none;
  &:hover {
    background: ${colour.actionQuiet};
  }
`;
