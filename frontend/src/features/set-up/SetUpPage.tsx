import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import styled from "styled-components";
import { refusal } from "../../api/client";
import { meQuery, setUpQuery } from "../../api/queries";
import type { SetUp } from "../../api/types";
import { useTitle } from "../../ui/useTitle";
import { momentText } from "../../lib/dates";
import { PrimaryButton, SecondaryButton } from "../../ui/Button";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Muted, Page, PageHead, Title } from "../../ui/Page";
import { space } from "../../ui/tokens";
import { useOpenFitting } from "../shared/useOpenFitting";
import { useTablet } from "../shared/TabletContext";
import { useVisit } from "../shared/visit/useVisit";
import { VisitPanel } from "../shared/visit/VisitPanel";
import { WalkRound } from "./WalkRound";

const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  margin-left: auto;
`;

/** Set up again: ten seconds, for a client whose settings stand on the card. */
export function SetUpPage() {
  const { id = "" } = useParams();
  const setUp = useQuery(setUpQuery(id));
  const me = useQuery(meQuery);
  useTitle(setUp.data ? `${setUp.data.client.name}, ${setUp.data.machine.name}` : say("setUpPage.setUp"));
  if (setUp.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(setUp.error)?.message ?? say("setUpPage.failed")}</Notice>
        <QuietLink to="/">{say("setUpPage.floorLink")}</QuietLink>
      </Page>
    );
  if (!setUp.data || !me.data) return null;
  const { client, machine, by, accepted_at, repaired } = setUp.data;
  return (
    <Page>
      <PageHead style={{ marginBottom: space(4) }}>
        <Title>
          <Link to={`/clients/${client.id}`} style={{ color: "inherit" }}>
            {client.name}
          </Link>
        </Title>
        <Muted>
          {machine.name} · {machine.place}
          <br />
          {by}, {momentText(accepted_at, me.data.gym.locale)}
        </Muted>
        <Buttons setUp={setUp.data} pin={me.data.pin} />
      </PageHead>
      {machine.state === "in_use" ? null : (
        <Notice>
          {machine.state === "retired" ? say("setUpPage.retired") : say("setUpPage.closed")}:{" "}
          {machine.state_note || say("setUpPage.machineLink")}.
        </Notice>
      )}
      {repaired ? <Notice>{say("setUpPage.changedMarks")}</Notice> : null}
      <WalkRound setUp={setUp.data}>
        {setUp.data.bars.length > 0 ? (
          <p>{say("setUpPage.noLoad")}</p>
        ) : (
          <VisitPanel key={id} setUp={setUp.data} me={me.data.id} locale={me.data.gym.locale} />
        )}
      </WalkRound>
    </Page>
  );
}

function Buttons({ setUp, pin }: { setUp: SetUp; pin: boolean }) {
  const opening = useOpenFitting(setUp.client.id);
  const tablet = useTablet();
  const { stands } = useVisit(setUp.id);
  const begun = setUp.visit.going_on !== null;
  // Kept off, or no more as it was accepted: the steps are all there is to do.
  const barred = setUp.bars.length > 0;
  const Changed = barred ? PrimaryButton : SecondaryButton;
  return (
    <Actions>
      {pin ? (
        <SecondaryButton
          isDisabled={barred}
          onPress={() =>
            tablet.handOver(
              <Page>
                <PageHead>
                  <Title>
                    {setUp.client.name}, {setUp.machine.name}
                  </Title>
                </PageHead>
                <WalkRound setUp={setUp} />
              </Page>,
            )
          }
        >
          {say("setUpPage.handOver")}
        </SecondaryButton>
      ) : null}
      <Changed onPress={() => opening.mutate({ machineId: setUp.machine.id, exercise: setUp.exercise })}>
        {say("setUpPage.changedTitle")}
      </Changed>
      <SecondaryButton onPress={() => stands.mutate()} isDisabled={stands.isPending || barred || begun}>
        {begun ? say("setUpPage.setUp") : say("setUpPage.confirm")}
      </SecondaryButton>
      <QuietLink to={`/machines/${setUp.machine.id}/queue${setUp.exercise ? `?exercise=${setUp.exercise}` : ""}`}>
        {say("setUpPage.nextClient")}
      </QuietLink>
      {stands.error ? <Notice tone="wrong">{refusal(stands.error)?.message}</Notice> : null}
      {opening.error ? <Notice tone="wrong">{refusal(opening.error)?.message}</Notice> : null}
    </Actions>
  );
}
