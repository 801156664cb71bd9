// Movements that phones read.
import { queryOptions } from "@tanstack/react-query";
import { api, unwrap } from "../client";
import { keys } from "../keys";

/** Looked at again so often while it is read (ms). */
const LIVE_MS = 400;

export const movementQuery = (id: string) =>
  queryOptions({
    queryKey: keys.movement(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/movements/{id}", { params: { path: { id } }, signal })),
    refetchInterval: (query) => (query.state.data?.state === "over" || query.state.error ? false : LIVE_MS),
    gcTime: 0,
  });
