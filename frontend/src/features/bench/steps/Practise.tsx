// What the client shows before this kind of machine: noted here, kept with the client.
import type { FittingPage } from "../../../api/types";
import { say } from "../../../lib/say";
import { Gates } from "../../shared/Gates";
import { Panel, PanelTitle } from "../Panel";

export function Practise({ fitting: { client, gates } }: { fitting: FittingPage }) {
  if (gates.length === 0) return null;
  return (
    <Panel aria-label={say("gates.shownFirst")}>
      <PanelTitle>{say("gates.shownFirst")}</PanelTitle>
      <Gates client={client} gates={gates} />
    </Panel>
  );
}
