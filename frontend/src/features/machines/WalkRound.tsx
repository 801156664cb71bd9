// What the walk-round found of a machine, and its photograph.
import styled from "styled-components";
import type { Loading, MachinePage as MachinePageData } from "../../api/types";
import { Empty, Section, SectionTitle } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { Photograph } from "./Photograph";

const Facts = styled.dl`
  display: grid;
  gap: ${space(3)};
  dt {
    font-weight: 650;
  }
`;

export function WalkRound({ id, page }: { id: string; page: MachinePageData }) {
  const { facts, machine } = page;
  const limits = [
    facts.user_mass_limit_kg === null ? null : `users up to ${facts.user_mass_limit_kg} kg`,
    facts.least_age_years === null ? null : `from ${facts.least_age_years} years`,
  ].filter((limit) => limit !== null);
  const lines = [
    ["Getting in", facts.getting_in],
    ["Getting out", facts.getting_out],
    ["What the last user may have left", facts.left_behind],
    [
      "The load goes slack",
      facts.slack_from_deg === null ? "" : `from ${facts.slack_from_deg}° of knee bend: end before it`,
    ],
    ["Loaded with", loadedWith(facts.loading)],
    ["Besides", [facts.belt ? "a belt" : null, facts.one_leg ? "one leg at a time" : null].filter(Boolean).join(", ")],
    ["The maker allows", [...limits, facts.cushions_allowed ? "firm cushions" : null].filter(Boolean).join(", ")],
  ].filter(([, text]) => text);
  return (
    <Section>
      <SectionTitle>Walk-round</SectionTitle>
      {lines.length === 0 ? <Empty>Nothing noted yet: how to get in and out, what may be left flipped.</Empty> : null}
      <Facts>
        {lines.map(([title, text]) => (
          <div key={title}>
            <dt>{title}</dt>
            <dd>{text}</dd>
          </div>
        ))}
      </Facts>
      <div style={{ margin: "0.75rem -0.5rem" }}>
        <Photograph id={id} page={page} adjuster="" name={machine.name} />
      </div>
    </Section>
  );
}

/** How it is loaded, in the unit printed on it. */
function loadedWith(loading: Loading | null): string {
  if (loading === null) return "";
  const { kind, unit, masses = [], addons = [], bare = 0 } = loading;
  if (kind === "stack")
    return [`a stack, ${masses.join(", ")} ${unit}`, addons.length > 0 ? `add-ons ${addons.join(", ")} ${unit}` : null]
      .filter(Boolean)
      .join("; ");
  return kind === "plates"
    ? `plates on both sides of an arm of ${bare} ${unit}`
    : `plates on a sled of ${bare} ${unit}, rail at ${loading.incline_deg}°`;
}
