// The gym's elastic bands: what each is called, its colour mostly, and how hard it pulls.
import { useQuery } from "@tanstack/react-query";
import { api, newKey, unwrap } from "../../api/client";
import { bandsQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { parseBands } from "../../model/equipmentDraft";
import { OwnedList } from "./OwnedList";

export function BandsForm() {
  const bands = useQuery(bandsQuery);
  if (!bands.data) return null;
  return (
    <OwnedList
      first={bands.data}
      queryKey={bandsQuery.queryKey}
      typed={(owned) => owned.bands.map(({ name, newton }) => `${name} ${newton}`).join(", ")}
      parse={parseBands}
      put={(list, version) =>
        unwrap(api.PUT("/api/bands", { params: { header: newKey() }, body: { bands: list, version } }))
      }
      words={{
        label: say("bandsForm.listLabel"),
        hint: say("bandsForm.hint"),
        problem: say("bandsForm.listProblem"),
        none: say("bandsForm.none"),
      }}
    />
  );
}
