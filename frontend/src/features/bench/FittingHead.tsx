import { say } from "../../lib/say";
import type { ReactNode } from "react";
import type { FittingPage } from "../../api/types";
import { PageHead, Title } from "../../ui/Page";

/** Whose fitting it is and on what, where it is not at the bench: over its record, or what became of it. */
export function FittingHead({ fitting, children }: { fitting: FittingPage; children?: ReactNode }) {
  return (
    <PageHead>
      <Title>
        {fitting.client.name} {say("fittingHead.on")} {fitting.machine.name}
      </Title>
      {children}
    </PageHead>
  );
}
