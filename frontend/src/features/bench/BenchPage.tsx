// The fitting bench: loads a fitting, and shows the bench of a draft or the record of an accepted one.
import { say } from "../../lib/say";
import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { refusal } from "../../api/client";
import { fittingQuery, meQuery } from "../../api/queries";
import { useTitle } from "../../ui/useTitle";
import { QuietLink } from "../../ui/LinkButton";
import { Notice } from "../../ui/Notice";
import { Page } from "../../ui/Page";
import { part } from "../../ui/part";
import { Bench } from "./Bench";
import { Discarded } from "../shared/Discarded";
import { FittingHead } from "./FittingHead";

const Record = part(() => import("./record/Record").then(({ Record }) => Record));

export function BenchPage() {
  const { id = "" } = useParams();
  const fitting = useQuery(fittingQuery(id));
  const me = useQuery(meQuery);
  useTitle(fitting.data ? `${fitting.data.client.name}, ${fitting.data.machine.name}` : say("benchPage.bench"));
  if (fitting.error)
    return (
      <Page>
        <Notice tone="wrong">{refusal(fitting.error)?.message ?? say("benchPage.failed")}</Notice>
        <QuietLink to="/">{say("benchPage.floorLink")}</QuietLink>
      </Page>
    );
  if (!fitting.data || !me.data) return null;
  const { state, client, version, by } = fitting.data;
  if (state === "discarded")
    return (
      <Page>
        <FittingHead fitting={fitting.data} />
        <Discarded id={id} version={version}>
          {by} {say("benchPage.discardedBy")}
        </Discarded>
        <QuietLink to={`/clients/${client.id}`}>{say("benchPage.cardLink")}</QuietLink>
      </Page>
    );
  return state === "draft" ? <Bench key={id} fitting={fitting.data} me={me.data} /> : <Record fitting={fitting.data} />;
}
