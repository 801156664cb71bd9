// The gym's machines as a list: what each needs, sorted and filtered as the address says.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import styled from "styled-components";
import { bandsQuery, equipmentQuery, machinesQuery, meQuery, platesQuery } from "../../api/queries";
import type { Machine } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { momentText } from "../../lib/dates";
import { Choice } from "../../ui/Choice";
import { PrimaryLink, SecondaryLink } from "../../ui/LinkButton";
import { MarkTags } from "../../ui/MarkTag";
import { Empty, Muted, Page, PageHead, Rows, Section, SectionTitle, Small, Strong, Title } from "../../ui/Page";
import { breakpoint, colour, font, space } from "../../ui/tokens";
import { EquipmentForm } from "./EquipmentForm";
import { Needs, needsOf } from "../shared/Needs";
import { May } from "../shared/May";
import { useMay } from "../shared/useMay";
import { PlatesForm } from "./PlatesForm";
import { BandsForm } from "./BandsForm";

const RowLink = styled(Link)`
  display: grid;
  grid-template-columns: 3.5rem minmax(0, 4fr) minmax(0, 3fr) minmax(0, 5fr);
  gap: ${space(1)} ${space(4)};
  align-items: center;
  min-height: 56px;
  padding: ${space(3)} ${space(4)};
  color: ${colour.ink};
  text-decoration: none;
  &:hover {
    background: ${colour.actionQuiet};
  }
  @media ${breakpoint.phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Code = styled.span`
  font-family: ${font.mark};
  font-weight: ${font.strong};
  color: ${colour.inkMuted};
`;
const Stands = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)} ${space(3)};
  align-items: center;
  justify-content: flex-end;
`;
const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(4)};
  align-items: center;
  margin-bottom: ${space(4)};
`;

const SHOWN = [
  ["in_use", say("machinesPage.title")],
  ["needing", say("machinesPage.needingSomething")],
  ["considered", say("machinesPage.considered")],
  ["retired", say("machinesPage.retired")],
] as const;
const SORTED = [
  ["place", say("machinesPage.byPlace")],
  ["name", say("machinesPage.byName")],
  ["family", say("machinesPage.byFamily")],
] as const;
type Shown = (typeof SHOWN)[number][0];
type Sorted = (typeof SORTED)[number][0];

const onTheFloor = ({ state }: Machine) => state === "in_use" || state === "out_of_order";
const shows: Record<Shown, (machine: Machine) => boolean> = {
  in_use: onTheFloor,
  needing: (machine) => onTheFloor(machine) && needsOf(machine) !== "",
  considered: ({ state }) => state === "considered",
  retired: ({ state }) => state === "retired",
};
const sortKey: Record<Sorted, (machine: Machine) => string> = {
  place: (machine) => `${machine.place} ${machine.name}`,
  name: ({ name }) => name,
  family: (machine) => `${machine.family_name} ${machine.name}`,
};

export function MachinesPage() {
  useTitle(say("machinesPage.machines"));
  const locale = useQuery(meQuery).data?.gym.locale ?? "en-GB";
  const machines = useQuery(machinesQuery);
  // All of it at once: nothing moves down when another part has come.
  const owned = [useQuery(equipmentQuery), useQuery(platesQuery), useQuery(bandsQuery)].every((query) => query.data);
  const may = useMay();
  const [params, setParams] = useSearchParams();
  const shown = SHOWN.find(([key]) => key === params.get("show"))?.[0] ?? "in_use";
  const sorted = SORTED.find(([key]) => key === params.get("sort"))?.[0] ?? "place";
  const set = (name: string, value: string) =>
    setParams((before) => new URLSearchParams({ ...Object.fromEntries(before), [name]: value }), { replace: true });
  const rows = (machines.data ?? [])
    .filter(shows[shown])
    .sort((one, other) => sortKey[sorted](one).localeCompare(sortKey[sorted](other)));
  return (
    <Page>
      <PageHead>
        <Title>{say("machinesPage.machines")}</Title>
        <Muted>{say("machinesPage.hint")}</Muted>
        <span style={{ marginLeft: "auto", display: "flex", flexWrap: "wrap", gap: space(2) }}>
          <May ask="whoFits">
            <SecondaryLink to="/machines/who-fits">{say("machinesPage.whoFits")}</SecondaryLink>
          </May>
          <May ask="addMachine">
            <PrimaryLink to="/machines/new">{say("machinesPage.enterLink")}</PrimaryLink>
          </May>
        </span>
      </PageHead>
      <Section aria-label={say("machinesPage.name")}>
        <Bar>
          <Choice
            compact
            label={say("machinesPage.shown")}
            options={SHOWN}
            value={shown}
            onChange={(value) => set("show", value)}
          />
          <Choice
            compact
            label={say("machinesPage.order")}
            options={SORTED}
            value={sorted}
            onChange={(value) => set("sort", value)}
          />
        </Bar>
        {machines.data && rows.length === 0 ? (
          <Empty>{machines.data.length === 0 ? say("machinesPage.empty") : say("machinesPage.noMatch")}</Empty>
        ) : null}
        {rows.length > 0 ? (
          <Rows>
            {rows.map((machine) => (
              <li key={machine.id}>
                <RowLink to={`/machines/${machine.id}`}>
                  <Code>{machine.code}</Code>
                  <span>
                    <Strong>{machine.name}</Strong> <Small>{machine.place}</Small>
                  </span>
                  <Small>{machine.family_name}</Small>
                  <Stands>
                    <Needs machine={machine} />
                    {machine.standing.map(({ exercise, marks }) => (
                      <MarkTags key={exercise} tags={marks} />
                    ))}
                    {machine.fitted_at ? (
                      <Small>
                        {say("machinesPage.lastFitted")} {momentText(machine.fitted_at, locale)}
                      </Small>
                    ) : null}
                  </Stands>
                </RowLink>
              </li>
            ))}
          </Rows>
        ) : null}
      </Section>
      {owned && machines.data && may("putEquipment") ? (
        <>
          <Section>
            <SectionTitle>{say("machinesPage.cushionsTitle")}</SectionTitle>
            <EquipmentForm />
          </Section>
          <Section>
            <SectionTitle>{say("machinesPage.platesTitle")}</SectionTitle>
            <PlatesForm />
          </Section>
          <Section>
            <SectionTitle>{say("machinesPage.bandsTitle")}</SectionTitle>
            <BandsForm />
          </Section>
        </>
      ) : null}
    </Page>
  );
}
