import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { noteOpened } from "../shared/lockFlag";

/** Opens a place to whoever has just signed in: nothing of who was here before is left. */
export function useEntrance() {
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  return async (to: string) => {
    noteOpened();
    queryClient.clear();
    await navigate(to, { replace: true });
  };
}
