import type { Session } from "../../api/types";
import { say } from "../../lib/say";
import { Notice } from "../../ui/Notice";
import { Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { space } from "../../ui/tokens";

/** What was not done, with why. */
export function LeftOut({ session: { left_out } }: { session: Session }) {
  return (
    <Section>
      <Notice>{say("runningPage.done")}</Notice>
      {left_out.length > 0 ? (
        <>
          <SectionTitle style={{ marginTop: space(5) }}>{say("runningPage.leftOut")}</SectionTitle>
          <Rows aria-label={say("runningPage.leftOut")}>
            {left_out.map((line) => (
              <li key={line.key} style={{ padding: space(3) }} data-left-out={line.name}>
                <Strong>{line.name}</Strong> <Small>{line.says}</Small>
              </li>
            ))}
          </Rows>
        </>
      ) : null}
    </Section>
  );
}
