import { say } from "../lib/say";
import styled from "styled-components";
import type { Band, Grade } from "../api/types";
import { colour, font, size, space } from "./tokens";

const COLOURS: Record<Band, string> = {
  "in line": colour.inLine,
  close: colour.close,
  off: colour.off,
  fault: colour.off,
};
const INKS: Record<Band, string> = { ...COLOURS, close: colour.closeInk };
const WORDS: Record<Band, string> = {
  "in line": say("band.inLine"),
  close: say("band.close"),
  off: say("band.off"),
  fault: say("band.wrong"),
};

/** The same three shapes wherever a band appears: full disc, half disc, ring with a bar. */
export function BandShape({ band, diameter = 16 }: { band: Band; diameter?: number }) {
  return (
    <svg width={diameter} height={diameter} viewBox="0 0 16 16" aria-hidden="true" style={{ flex: "none" }}>
      {band === "in line" ? <circle cx="8" cy="8" r="7" fill={COLOURS[band]} /> : null}
      {band === "close" ? (
        <>
          <circle cx="8" cy="8" r="6.25" fill="none" stroke={COLOURS[band]} strokeWidth="1.5" />
          <path d="M8 1a7 7 0 0 0 0 14z" fill={COLOURS[band]} />
        </>
      ) : null}
      {band === "off" || band === "fault" ? (
        <>
          <circle cx="8" cy="8" r="6.25" fill="none" stroke={COLOURS[band]} strokeWidth="2" />
          <path d="M4 8h8" stroke={COLOURS[band]} strokeWidth="2.5" />
        </>
      ) : null}
    </svg>
  );
}

const Row = styled.span<{ $band: Band }>`
  display: inline-flex;
  align-items: center;
  gap: ${space(1.5)};
  font-size: ${size.small};
  font-weight: ${font.strong};
  color: ${({ $band }) => INKS[$band]};
  white-space: nowrap;
`;

const Untaped = styled.span`
  font-size: ${size.small};
  color: ${colour.inkMuted};
`;

/** A band in colour, shape and word; "likely" where the body is too unsure to grade; none where nothing is taped. */
export function BandName({ band, likely = false }: { band: Grade; likely?: boolean }) {
  if (band === null) return <Untaped>{say("band.notTaped")}</Untaped>;
  return (
    <Row $band={band}>
      <BandShape band={band} />
      {likely ? say("band.likelyWord", { word: WORDS[band] }) : WORDS[band]}
    </Row>
  );
}

export const SEVERITY_BANDS: readonly Band[] = ["in line", "close", "off", "fault"];
