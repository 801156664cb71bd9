import { say } from "../../../lib/say";
import { useState } from "react";
import styled from "styled-components";
import { refusal } from "../../../api/client";
import type { FittingPage } from "../../../api/types";
import type { Bench } from "../../../model/bench";
import { SecondaryButton } from "../../../ui/Button";
import { Dialogue } from "../../../ui/Dialogue";
import { Notice } from "../../../ui/Notice";
import { colour, space } from "../../../ui/tokens";
import { useStop } from "./useAccept";
import type { DraftKey } from "./useDraft";

const StopButton = styled(SecondaryButton)`
  margin-left: ${space(4)};
  border: 2px solid ${colour.off};
  color: ${colour.off};
`;
const Signs = styled.ul`
  display: grid;
  gap: ${space(3)};
  button {
    width: 100%;
    min-height: 56px;
  }
  p {
    margin-top: ${space(1)};
  }
`;

/** The signs with which a fitting ends at once. What to do stands beside each; pressing one ends the fitting and keeps it. */
export function Stop({ fitting, bench, draft }: { fitting: FittingPage; bench: Bench; draft: DraftKey }) {
  const [asking, setAsking] = useState(false);
  const stop = useStop(fitting, bench.version, draft);
  return (
    <>
      <StopButton onPress={() => setAsking(true)}>{say("stop.stop")}</StopButton>
      <Dialogue title={say("stop.question")} isOpen={asking} onClose={() => setAsking(false)}>
        {stop.error ? <Notice tone="wrong">{refusal(stop.error)?.message ?? say("stop.failed")}</Notice> : null}
        <Signs>
          {fitting.stops.map((sign) => (
            <li key={sign.name}>
              <StopSign
                title={sign.title}
                busy={stop.isPending}
                onPress={() => stop.mutate({ sign: sign.name, sheet: bench.sheet })}
              />
              <p>{sign.do}</p>
            </li>
          ))}
        </Signs>
      </Dialogue>
    </>
  );
}

const Sign = styled(SecondaryButton)`
  border-color: ${colour.off};
`;

function StopSign({ title, busy, onPress }: { title: string; busy: boolean; onPress: () => void }) {
  return (
    <Sign onPress={onPress} isDisabled={busy}>
      {title}
      {say("stop.ends")}
    </Sign>
  );
}
