// What a set goes on with when it cannot go on alone: lighter at once, or with help; counted apart from one's own.
import styled from "styled-components";
import type { Visit } from "../../../api/types";
import { say } from "../../../lib/say";
import type { SetDraft } from "../../../model/setDraft";
import { Small } from "../../../ui/Page";
import { Select } from "../../../ui/Select";
import { breakpoint, space, target } from "../../../ui/tokens";
import { Answer, Answers } from "./Answer";

const Folded = styled.details`
  summary {
    min-height: ${target.least};
    align-content: center;
    cursor: pointer;
  }
  > div {
    display: grid;
    gap: ${space(2)};
  }
`;
const Both = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr);
  gap: ${space(3)};
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const ALONE = "alone";
const MOST = 10;
const COUNTS = Array.from({ length: MOST + 1 }, (_, count) => [String(count), String(count)] as const);

type Props = {
  helped: NonNullable<Visit["helped"]>;
  draft: SetDraft;
  onLoad: (kg: number) => void;
  onSay: (fields: Partial<SetDraft>) => void;
};

export function Helped({ helped, draft, onLoad, onSay }: Props) {
  const kinds = [
    [ALONE, say("helped.alone")] as const,
    ...helped.kinds.map(({ name, title }) => [name, title] as const),
  ];
  return (
    <Folded open={draft.kind !== "" || draft.helped > 0 ? true : undefined}>
      <summary>{say("helped.title")}</summary>
      <div>
        <Small>{say("helped.apart")}</Small>
        <Both>
          <Select
            label={say("helped.how")}
            options={kinds}
            value={draft.kind || ALONE}
            onChange={(kind) => onSay({ kind: kind === ALONE ? "" : (kind as SetDraft["kind"]) })}
          />
          <Select
            label={say("helped.repetitions")}
            options={COUNTS}
            value={String(draft.helped)}
            onChange={(count) => onSay({ helped: Number(count) })}
          />
        </Both>
        {draft.kind === "drop" ? (
          <>
            <p>{helped.says}</p>
            {helped.drops.length > 0 ? (
              <Answers role="group" aria-label={say("helped.loads")}>
                {helped.drops.map(({ kg, text, how }) => (
                  <Answer key={kg} selected={draft.load_kg === kg} onPress={() => onLoad(kg)}>
                    {text} <Small>{how.toLowerCase()}</Small>
                  </Answer>
                ))}
              </Answers>
            ) : null}
          </>
        ) : null}
      </div>
    </Folded>
  );
}
