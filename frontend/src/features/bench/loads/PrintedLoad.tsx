import styled from "styled-components";
import type { Load } from "../../../api/types";
import { font, size } from "../../../ui/tokens";

const Figure = styled.output`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  font-size: ${size.title};
  line-height: 1.1;
  letter-spacing: -0.06em;
  white-space: nowrap;
  small {
    font-family: ${font.text};
    font-size: ${size.text};
    letter-spacing: 0;
  }
`;

/** A load as printed, the unit smaller than its number; read out where it has a name. */
export function PrintedLoad({ load, name }: { load: Load; name?: string }) {
  const [number, unit] = load.text.split(" ");
  return (
    <Figure aria-label={name} aria-live={name ? "polite" : undefined}>
      {number}
      <small> {unit}</small>
    </Figure>
  );
}
