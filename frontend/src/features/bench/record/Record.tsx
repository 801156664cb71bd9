// An accepted fitting, as it was kept: marks, numbers, findings, and what it was computed from.
import { say } from "../../../lib/say";
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import { meQuery } from "../../../api/queries";
import type { FittingPage } from "../../../api/types";
import { SceneDrawing } from "../../../scene/SceneDrawing";
import { momentText } from "../../../lib/dates";
import { lengthText } from "../../../lib/lengths";
import { BandName } from "../../../ui/Band";
import { PrimaryLink, SecondaryLink } from "../../../ui/LinkButton";
import { MarkRow, MarkTag } from "../../../ui/MarkTag";
import { CautionLines } from "../../shared/CautionLines";
import { placedTags } from "../placedTags";
import { More } from "../../../ui/More";
import { Notice } from "../../../ui/Notice";
import { Empty, Muted, Page, Section, SectionTitle, Small, Strong } from "../../../ui/Page";
import { breakpoint, colour, radius, space } from "../../../ui/tokens";
import { FittingHead } from "../FittingHead";
import { FindingList } from "../drawing/FindingsBar";
import { TakeBack } from "./TakeBack";
import { Written } from "./Written";
import { told } from "../../../model/marks";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space(7)};
  @media ${breakpoint.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Picture = styled.figure`
  height: 26rem;
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.ground};
  overflow: hidden;
`;
const Sheet = styled.div`
  > ul {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
  border: 1px solid ${colour.line};
  border-radius: ${radius};
  background: ${colour.panel};
`;
const Basis = styled.ul`
  display: grid;
  gap: ${space(1)};
`;

export function Record({ fitting }: { fitting: FittingPage }) {
  const me = useQuery(meQuery);
  const { client, machine, evaluation, computed_from: from } = fitting;
  if (!me.data || !from) return null;
  const exercise = fitting.station?.exercises.find(({ active }) => active)?.name;
  const ended = { by: fitting.by, moment: momentText(fitting.accepted_at, me.data.gym.locale) };
  const computed = Object.keys(from.advised).length > 0;
  const stop = fitting.stops.find(({ name }) => name === fitting.stop_sign);
  return (
    <Page>
      <FittingHead fitting={fitting}>
        <Muted>{fitting.state === "stopped" ? say("record.stoppedBy", ended) : say("record.acceptedBy", ended)}</Muted>
      </FittingHead>
      {fitting.taken_back ? (
        <div style={{ marginBottom: space(5) }}>
          <Notice tone="wrong">
            <Strong>{say("record.takenBack")}</Strong> {say("record.by")} {fitting.taken_back.by}:{" "}
            {fitting.taken_back.reason}
            {say("record.discardedNotice")}
          </Notice>
        </div>
      ) : null}
      {stop ? (
        <div style={{ marginBottom: space(5) }}>
          <Notice tone="wrong">
            <Strong>{stop.title}.</Strong> {stop.do}
          </Notice>
        </div>
      ) : null}
      {fitting.cautions.length > 0 ? (
        <section aria-label={say("record.cautionsThen")} style={{ marginBottom: space(5) }}>
          <CautionLines cautions={fitting.cautions} />
        </section>
      ) : null}
      <Columns>
        <div>
          <Section>
            <SectionTitle>{say("record.marks")}</SectionTitle>
            <MarkRow>
              {machine.adjusters.map((adjuster) => (
                <MarkTag
                  key={adjuster.label}
                  label={adjuster.name}
                  mark={told(adjuster, fitting.marks[adjuster.label])}
                />
              ))}
              {placedTags(evaluation.placed)}
            </MarkRow>
            <p style={{ marginTop: "0.75rem" }}>
              <BandName band={evaluation.grade} />
            </p>
          </Section>
          <Written fitting={fitting} />
          {evaluation.findings.length > 0 ? (
            <Section>
              <SectionTitle>{say("record.found")}</SectionTitle>
              <Sheet>
                <FindingList findings={evaluation.findings} />
                {evaluation.motion ? (
                  <p style={{ padding: "0 1.25rem 1rem" }}>
                    <Small>
                      {evaluation.motion.ending} {evaluation.motion.creep} <More>{evaluation.motion.ratio}</More>
                    </Small>
                  </p>
                ) : null}
              </Sheet>
            </Section>
          ) : null}
          <Section>
            <SectionTitle>{say("record.computedFrom")}</SectionTitle>
            <Basis>
              {computed ? null : <li>{evaluation.says}</li>}
              {computed && from.readings.length === 0 ? <li>{say("record.untaped")}</li> : null}
              {from.readings.map((reading) => (
                <li key={reading.observation}>
                  {reading.title} {lengthText(reading.value_mm, me.data.length_unit)}
                  {reading.state === "used" ? "" : ` (${reading.state.replace("_", " ")})`}
                </li>
              ))}
              {from.rules.length > 0 ? (
                <li>
                  {say("record.houseRules")}{" "}
                  {from.rules.map((rule) => `${rule.title}: ${rule.school_title.toLowerCase()}`).join(". ")}.
                </li>
              ) : null}
              {(from.allowed ?? []).length > 0 ? (
                <li>
                  {say("record.told")} {from.allowed?.join(" ")}
                </li>
              ) : null}
              {from.learned.map((learned) => (
                <li key={learned.fitting_id}>
                  {say("record.learnedFrom")} {learned.machine}
                </li>
              ))}
              <li>
                <Small>
                  {machine.name} {say("record.versionNote")} {from.machine.description_number}
                  {computed ? (
                    <>
                      {say("record.advised")}{" "}
                      {machine.adjusters
                        .map(
                          (adjuster) =>
                            `${adjuster.name.toLowerCase()} ${told(adjuster, from.advised[adjuster.label])}`,
                        )
                        .join(", ")}
                      {say("record.model")} {from.model}
                    </>
                  ) : null}
                </Small>
              </li>
            </Basis>
          </Section>
        </div>
        <Section>
          <SectionTitle>{say("record.fit")}</SectionTitle>
          {evaluation.scene ? (
            <Picture>
              <SceneDrawing scene={evaluation.scene} description={evaluation.says} />
            </Picture>
          ) : (
            <Empty>{computed ? say("record.undrawn") : evaluation.says}</Empty>
          )}
          <p style={{ marginTop: "1rem" }}>
            <PrimaryLink to={`/clients/${client.id}`}>{say("record.cardLink")}</PrimaryLink>{" "}
            <SecondaryLink to={`/machines/${machine.id}/queue${exercise ? `?exercise=${exercise}` : ""}`}>
              {say("record.nextClient")}
            </SecondaryLink>{" "}
            {fitting.state === "accepted" ? <TakeBack id={fitting.id} version={fitting.version} /> : null}
          </p>
        </Section>
      </Columns>
    </Page>
  );
}
