import { Form } from "react-aria-components";
import styled from "styled-components";
import { colour, radius, space } from "../../ui/tokens";

/** A form of one's own account, by itself on its page. */
export const Sheet = styled(Form)`
  display: grid;
  gap: ${space(4)};
  padding: ${space(5)};
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
