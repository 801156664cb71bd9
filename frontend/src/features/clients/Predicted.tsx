// What would be advised on a machine where this client was never fitted: its marks before anybody walks there, how surely, and where else
// where it does not fit.
import styled from "styled-components";
import type { Prediction } from "../../api/types";
import { say } from "../../lib/say";
import { BandName } from "../../ui/Band";
import { MarkTags } from "../../ui/MarkTag";
import { Muted, Small, Strong } from "../../ui/Page";
import { colour, space } from "../../ui/tokens";

const Area = styled.div`
  display: grid;
  gap: ${space(1)};
  justify-items: start;
`;
/** Not stamped yet: a tag in dashes. */
const Faint = styled.span`
  > span > span {
    border-style: dashed;
    background: transparent;
    color: ${colour.inkMuted};
  }
`;
const Said = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${space(2)};
`;

export function Predicted({ prediction }: { prediction: Prediction }) {
  const { status, marks, grade, likely, aids, from, why, instead } = prediction;
  if (status === null) return <Muted>{say("card.unfitted")}</Muted>;
  return (
    <Area data-predicted>
      {status === "impossible" ? null : (
        <Faint>
          <MarkTags tags={marks} />
        </Faint>
      )}
      <Said>
        {status === "impossible" && grade === null ? (
          <Strong>{say("predicted.unfit")}</Strong>
        ) : (
          <BandName band={grade} likely={likely} />
        )}{" "}
        <Small>{from}</Small>
      </Said>
      {why ? <Small>{why}</Small> : null}
      {status === "impossible" ? null : aids.map((aid) => <Small key={aid}>{aid}</Small>)}
      {instead.length > 0 ? <Small>{say("predicted.instead", { names: instead.join(", ") })}</Small> : null}
    </Area>
  );
}
