// How the parts of practice stand.
import styled from "styled-components";
import { colour, radius, space } from "../../ui/tokens";

/** One under the other, as wide as each other. */
export const Fields = styled.div`
  display: grid;
  gap: ${space(3)};
  justify-items: start;
  > * {
    min-width: min(100%, 22rem);
  }
`;
/** What a row is called, and what is done with it. */
export const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: ${space(3)};
`;
/** Where a client who is made up is drawn. */
export const Stage = styled.div`
  height: 24rem;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
/** Beside one another as far as there is room. */
export const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
  gap: ${space(2)} ${space(3)};
`;
export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  align-items: center;
  margin-top: ${space(3)};
`;
