// What the walk-round found of a machine, and its photograph.
import { say } from "../../lib/say";
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
    facts.user_mass_limit_kg === null ? null : say("walkRound.userMass", { usermasslimitkg: facts.user_mass_limit_kg }),
    facts.least_age_years === null ? null : say("walkRound.leastAge", { leastageyears: facts.least_age_years }),
  ].filter((limit) => limit !== null);
  const lines = [
    [say("walkRound.gettingIn"), facts.moves.says.in],
    [say("walkRound.gettingOut"), facts.moves.says.out],
    [say("walkRound.leftTitle"), facts.moves.left],
    [
      say("walkRound.slackLabel"),
      facts.slack_from_deg === null ? "" : say("walkRound.slackStart", { slackfromdeg: facts.slack_from_deg }),
    ],
    [say("walkRound.loadedWith"), loadedWith(facts.loading)],
    [
      say("walkRound.besides"),
      [facts.belt ? say("walkRound.aBelt") : null, facts.one_leg ? say("walkRound.oneLeg") : null]
        .filter(Boolean)
        .join(", "),
    ],
    [
      say("walkRound.makerTitle"),
      [...limits, facts.cushions_allowed ? say("walkRound.firmCushions") : null].filter(Boolean).join(", "),
    ],
  ].filter(([, text]) => text);
  return (
    <Section>
      <SectionTitle>{say("walkRound.walkRound")}</SectionTitle>
      {lines.length === 0 ? <Empty>{say("walkRound.entryMissing")}</Empty> : null}
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
    return [
      say("walkRound.stack", { masses: masses.join(", "), unit }),
      addons.length > 0 ? say("walkRound.addOns", { addons: addons.join(", "), unit }) : null,
    ]
      .filter(Boolean)
      .join("; ");
  return kind === "plates"
    ? say("walkRound.arms", { bare, unit })
    : say("walkRound.sled", { bare, unit, inclinedeg: loading.incline_deg });
}
