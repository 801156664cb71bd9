import { Button as AriaButton } from "react-aria-components";
import styled, { css } from "styled-components";
import { colour, font, radius, space, target } from "./tokens";

const frame = css`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: ${space(2)};
  min-height: ${target.least};
  padding: ${space(2)} ${space(4)};
  border-radius: ${radius};
  border: 1px solid transparent;
  font-weight: ${font.strong};
  text-decoration: none;
  cursor: pointer;
  &[data-disabled] {
    opacity: 0.45;
    cursor: default;
  }
`;

/** The one thing to do next. At most one on a screen. */
export const primary = css`
  ${frame}
  background: ${colour.action};
  color: ${colour.actionInk};
  &[data-hovered],
  &:hover {
    background: ${colour.actionHover};
  }
`;

export const secondary = css`
  ${frame}
  background: ${colour.panel};
  border-color: ${colour.lineStrong};
  color: ${colour.ink};
  &[data-hovered],
  &:hover {
    background: ${colour.actionQuiet};
    border-color: ${colour.action};
  }
`;

export const quiet = css`
  ${frame}
  background: transparent;
  color: ${colour.action};
  padding-inline: ${space(2)};
  &[data-hovered],
  &:hover {
    background: ${colour.actionQuiet};
  }
`;

export const PrimaryButton = styled(AriaButton)`
  ${primary}
`;
export const SecondaryButton = styled(AriaButton)`
  ${secondary}
`;
export const QuietButton = styled(AriaButton)`
  ${quiet}
`;
