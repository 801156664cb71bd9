import { Form } from "react-aria-components";
import styled from "styled-components";
import { colour, font, radius, size, space } from "./tokens";

/** A form in which one measure is typed: how it is taken above, what was read large, keep below. */
export const MeasureSheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
  h2 {
    font-size: ${size.large};
  }
`;
export const Large = styled.div`
  input {
    font-family: ${font.mark};
    font-weight: ${font.strong};
    font-size: ${size.title};
    min-height: 60px;
  }
`;
export const MeasureActions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;
