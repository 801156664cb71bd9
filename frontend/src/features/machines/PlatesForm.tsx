// The gym's plates, by mass: how many pairs of each there are to load two sides alike.
import { useQuery } from "@tanstack/react-query";
import { api, newKey, unwrap } from "../../api/client";
import { platesQuery } from "../../api/queries";
import { say } from "../../lib/say";
import { parsePlates } from "../../model/equipmentDraft";
import { OwnedList } from "./OwnedList";

export function PlatesForm() {
  const plates = useQuery(platesQuery);
  if (!plates.data) return null;
  return (
    <OwnedList
      first={plates.data}
      queryKey={platesQuery.queryKey}
      typed={(owned) => owned.plates.map(({ mass_kg, pairs }) => `${mass_kg} × ${pairs}`).join(", ")}
      parse={parsePlates}
      put={(list, version) =>
        unwrap(api.PUT("/api/plates", { params: { header: newKey() }, body: { plates: list, version } }))
      }
      words={{
        label: say("platesForm.listLabel"),
        hint: say("platesForm.unitHint"),
        problem: say("platesForm.listProblem"),
        none: say("platesForm.none"),
      }}
    />
  );
}
