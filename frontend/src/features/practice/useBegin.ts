// A run is begun, or gone on with where a task's number was begun before; then it is shown.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, newKey, unwrap } from "../../api/client";
import { keys } from "../../api/keys";
import type { Practice } from "../../api/types";

export type Level = Practice["levels"][number]["name"];
export type Begin =
  { task_id: string; number: number } | { machine_id: string; exercise: string; level: Level; seed?: number };

export function useBegin() {
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  return useMutation({
    mutationFn: (body: Begin) => unwrap(api.POST("/api/practice/runs", { params: { header: newKey() }, body })),
    onSuccess: async (run) => {
      queryClient.setQueryData(keys.practiceRun(run.id), run);
      await queryClient.invalidateQueries({ queryKey: keys.practice });
      await navigate(`/practice/${run.id}`);
    },
  });
}
