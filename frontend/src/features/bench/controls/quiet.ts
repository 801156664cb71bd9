// That something stands as advised, said quietly; and the way back where it does not.
import { Button } from "react-aria-components";
import styled from "styled-components";
import { colour, font, radius, size, space } from "../../../ui/tokens";

export const Quiet = styled.span`
  font-size: ${size.small};
  color: ${colour.inkMuted};
`;
export const BackTo = styled(Button)`
  padding: ${space(1)} ${space(2)};
  margin: -${space(1)} -${space(2)};
  border: 0;
  border-radius: ${radius};
  background: ${colour.closeFill};
  color: ${colour.ink};
  font-size: ${size.small};
  font-weight: ${font.strong};
  cursor: pointer;
`;
