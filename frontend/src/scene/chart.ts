// What drawings of numbers have in common: as wide as their place, words quiet.
import styled from "styled-components";
import { colour, font } from "../ui/tokens";

export const Chart = styled.svg`
  display: block;
  width: 100%;
  text {
    font-family: ${font.text};
    font-size: 14px;
    fill: ${colour.inkMuted};
  }
`;
