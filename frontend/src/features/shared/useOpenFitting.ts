import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { keys } from "../../api/keys";
import { api, newKey, unwrap } from "../../api/client";
import type { ExerciseName } from "../../api/types";

/**
 * Opens a client's bench on a machine (on a station, for one of its exercises): the draft that is there, or a new one.
 * Where no exercise is said, the house rules say what it is done for.
 */
export function useOpenFitting(clientId: string) {
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: ({ machineId, exercise }: { machineId: string; exercise?: ExerciseName }) =>
      unwrap(
        api.POST("/api/fittings", {
          body: { client_id: clientId, machine_id: machineId, ...(exercise === undefined ? {} : { exercise }) },
          params: { header: newKey() },
        }),
      ),
    onSuccess: async ({ id }) => {
      queryClient.removeQueries({ queryKey: keys.fitting(id) });
      await navigate(`/fittings/${id}`);
    },
  });
}
