import { Checkbox } from "react-aria-components";
import styled from "styled-components";
import { colour, radius, space, target } from "./tokens";

/** A box to tick, its words beside it. Its own frame for the hidden input, which would else be laid out past the page's end. */
export const Tick = styled(Checkbox)`
  position: relative;
  display: flex;
  align-items: center;
  gap: ${space(2)};
  min-height: ${target.least};
  cursor: pointer;
  line-height: 1.25;
  &::before {
    content: "";
    flex: none;
    width: 20px;
    height: 20px;
    border: 2px solid ${colour.lineStrong};
    border-radius: ${radius};
    background: ${colour.panel};
  }
  &[data-selected]::before {
    border-color: ${colour.action};
    background: ${colour.action};
    box-shadow: inset 0 0 0 3px ${colour.panel};
  }
  &[data-focus-visible] {
    outline: 3px solid ${colour.action};
    outline-offset: 0;
  }
`;
