// Who is on a machine just now, and who waits where. Nothing where nobody is.
import type { Floor } from "../../api/types";
import { momentText } from "../../lib/dates";
import { say } from "../../lib/say";
import { Rows, Section, SectionTitle, Small, Strong } from "../../ui/Page";
import { RowLink } from "../shared/RowLink";

const SHOWN = 3;
const setsText = ({ sets, stopped }: Floor["now"][number]) =>
  stopped ? say("floorNow.stopped") : sets === 0 ? say("floorNow.setUp") : say("floorNow.sets", { count: sets });

export function Now({ floor, locale }: { floor: Floor; locale: string }) {
  return (
    <>
      {floor.now.length > 0 ? (
        <Section>
          <SectionTitle>{say("floorNow.heading")}</SectionTitle>
          <Rows>
            {floor.now.map((one) => (
              <li key={one.fitting_id}>
                <RowLink to={`/fittings/${one.fitting_id}/set-up`}>
                  <span>
                    <Strong>{one.client.name}</Strong>
                    <br />
                    <Small>{one.machine.name}</Small>
                  </span>
                  <Small>
                    {setsText(one)} · {momentText(one.at, locale)}
                  </Small>
                </RowLink>
              </li>
            ))}
          </Rows>
        </Section>
      ) : null}
      {floor.queues.length > 0 ? (
        <Section>
          <SectionTitle>{say("floorNow.waiting")}</SectionTitle>
          <Rows>
            {floor.queues.map(({ machine, exercise, clients }) => (
              <li key={`${machine.id}/${exercise}`}>
                <RowLink to={`/machines/${machine.id}/queue${exercise ? `?exercise=${exercise}` : ""}`}>
                  <span>
                    <Strong>{machine.name}</Strong>
                    <br />
                    <Small>
                      {clients
                        .slice(0, SHOWN)
                        .map(({ name }) => name)
                        .join(", ")}
                      {clients.length > SHOWN ? say("floorNow.andMore", { count: clients.length - SHOWN }) : null}
                    </Small>
                  </span>
                </RowLink>
              </li>
            ))}
          </Rows>
        </Section>
      ) : null}
    </>
  );
}
