// Movements that phones read.
import { queryOptions } from "@tanstack/react-query";
import { api, unwrap } from "../client";
import { keys } from "../keys";

/** Looked at again so often while it is read (ms). */
const LIVE_MS = 400;

/** Of a set that was written down: it stays what it is. */
export const setMovementQuery = (set: string) =>
  queryOptions({
    queryKey: keys.setMovement(set),
    queryFn: ({ signal }) => unwrap(api.GET("/api/sets/{id}/movement", { params: { path: { id: set } }, signal })),
    staleTime: Infinity,
  });

export const movementQuery = (id: string) =>
  queryOptions({
    queryKey: keys.movement(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/movements/{id}", { params: { path: { id } }, signal })),
    refetchInterval: (query) => (query.state.data?.state === "over" || query.state.error ? false : LIVE_MS),
    gcTime: 0,
  });
