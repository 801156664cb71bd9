// Why a rule was not chosen, in sight wherever on the page it was pressed. Where a colleague was quicker, what they chose is shown
// already, and this press is forgotten.
import { say } from "../../lib/say";
import styled from "styled-components";
import { refusal, standing } from "../../api/client";
import { Notice } from "../../ui/Notice";
import { space } from "../../ui/tokens";

const InSight = styled.div`
  position: sticky;
  top: ${space(2)};
  z-index: 1;
  margin-bottom: ${space(3)};
`;

export function RuleRefused({ thrown }: { thrown: unknown }) {
  if (!thrown) return null;
  return (
    <InSight>
      <Notice tone="wrong">{standing(thrown) ? say("ruleRefused.conflict") : refusal(thrown)?.message}</Notice>
    </InSight>
  );
}
