// What the client shows before this kind of machine: noted here, kept with the client.
import { useQuery } from "@tanstack/react-query";
import { meQuery } from "../../../api/queries";
import type { FittingPage } from "../../../api/types";
import { say } from "../../../lib/say";
import { Gates } from "../../shared/Gates";
import { Panel, PanelTitle } from "../Panel";

export function Practise({ fitting: { client, gates } }: { fitting: FittingPage }) {
  const me = useQuery(meQuery);
  if (gates.length === 0 || !me.data) return null;
  return (
    <Panel aria-label={say("gates.shownFirst")}>
      <PanelTitle>{say("gates.shownFirst")}</PanelTitle>
      <Gates client={client} gates={gates} locale={me.data.gym.locale} />
    </Panel>
  );
}
