// Machines from which a client is kept: under each sentence that says why, those of which it is so.
import styled from "styled-components";
import { say } from "../../lib/say";
import { QuietLink } from "../../ui/LinkButton";
import { Small, Strong } from "../../ui/Page";
import { colour, space } from "../../ui/tokens";

const Groups = styled.ul`
  display: grid;
  gap: ${space(4)};
  margin-top: ${space(4)};
  padding: ${space(4)};
  border: 1px solid ${colour.line};
  border-left: 4px solid ${colour.off};
  background: ${colour.panel};
`;
const Why = styled.p`
  color: ${colour.off};
`;
const Machines = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(13rem, 1fr));
  gap: ${space(1)} ${space(4)};
  margin-top: ${space(1)};
`;

export type KeptOff = { key: string; name: string; place: string; bars: readonly string[]; fitting: string | null };

/** Those with the same sentences stand together. */
export function together(kept: readonly KeptOff[]): { bars: readonly string[]; machines: KeptOff[] }[] {
  const groups = new Map<string, { bars: readonly string[]; machines: KeptOff[] }>();
  for (const one of kept) {
    const bars = [...one.bars].sort();
    const key = bars.join("\n");
    const group = groups.get(key) ?? { bars, machines: [] };
    group.machines.push(one);
    groups.set(key, group);
  }
  return [...groups.values()];
}

export function Barred({ kept }: { kept: readonly KeptOff[] }) {
  if (kept.length === 0) return null;
  return (
    <Groups aria-label={say("card.otherMachines")}>
      {together(kept).map(({ bars, machines }) => (
        <li key={bars.join()} data-barred>
          {bars.map((bar) => (
            <Why key={bar}>
              <Strong>{say("card.barred")}</Strong> {bar}
            </Why>
          ))}
          <Machines>
            {machines.map(({ key, name, place, fitting }) => (
              <li key={key} data-machine={name}>
                <Strong>{name}</Strong> <Small>{place}</Small>
                {fitting ? <QuietLink to={`/fittings/${fitting}`}>{say("card.openLink")}</QuietLink> : null}
              </li>
            ))}
          </Machines>
        </li>
      ))}
    </Groups>
  );
}
