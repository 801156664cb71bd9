// Cautions with which the gym is stricter than the table: nobody with them is fitted until a clinician has cleared them. Less
// strict is a clinician's word alone.
import { say } from "../../lib/say";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import styled from "styled-components";
import { api, newKey, standing, unwrap } from "../../api/client";
import { rulesQuery } from "../../api/queries";
import type { Rules } from "../../api/types";
import { Muted, Rows, Section, SectionTitle, Small } from "../../ui/Page";
import { Tick } from "../../ui/Tick";
import { space } from "../../ui/tokens";
import { RuleRefused } from "./RuleRefused";

const Row = styled.li`
  padding: ${space(1)} ${space(4)};
`;

export function StricterCautions({ rules }: { rules: Rules }) {
  const queryClient = useQueryClient();
  const set = useMutation({
    mutationFn: ({ caution, stricter }: { caution: string; stricter: boolean }) =>
      unwrap(
        api.PUT("/api/gym/cautions/{caution}", {
          params: { path: { caution }, header: newKey() },
          body: { stricter, version: rules.version },
        }),
      ),
    onSuccess: (kept) => queryClient.setQueryData(rulesQuery.queryKey, kept),
    onError: (thrown) => {
      const now = standing<Rules>(thrown);
      if (now) queryClient.setQueryData(rulesQuery.queryKey, now);
    },
  });
  return (
    <Section style={{ marginTop: space(8) }}>
      <SectionTitle>{say("stricterCautions.title")}</SectionTitle>
      <p style={{ marginBottom: space(3) }}>
        <Muted>{say("stricterCautions.hint")}</Muted>
      </p>
      <RuleRefused thrown={set.error} />
      <Rows>
        {rules.cautions.map((caution) => (
          <Row key={caution.name} data-caution={caution.name}>
            <Tick
              isSelected={caution.stricter}
              onChange={(stricter) => set.mutate({ caution: caution.name, stricter })}
            >
              <span>
                {caution.title} <Small>{caution.does}</Small>
              </span>
            </Tick>
          </Row>
        ))}
      </Rows>
    </Section>
  );
}
