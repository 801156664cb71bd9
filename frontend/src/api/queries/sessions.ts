// Sessions, programmes, groups that rotate.
import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { api, unwrap } from "../client";
import { keys } from "../keys";
import type { SessionWishes } from "../types";

/** What would be done in this time: made anew whenever something else is wanted. */
export const sessionPlanQuery = (client: string, wishes: SessionWishes) =>
  queryOptions({
    queryKey: keys.sessionPlan(client, wishes),
    queryFn: ({ signal }) =>
      unwrap(api.POST("/api/clients/{id}/session-plan", { params: { path: { id: client } }, body: wishes, signal })),
    placeholderData: keepPreviousData,
    gcTime: 0,
  });

export const sessionsQuery = queryOptions({
  queryKey: keys.sessions,
  queryFn: ({ signal }) => unwrap(api.GET("/api/sessions", { signal })),
});

/** What was done meanwhile on another tablet is seen within half a minute. */
const LOOKED_AGAIN_MS = 30_000;
export const sessionQuery = (id: string) =>
  queryOptions({
    queryKey: keys.session(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/sessions/{id}", { params: { path: { id } }, signal })),
    refetchInterval: (query) => (query.state.data?.state === "running" ? LOOKED_AGAIN_MS : false),
  });

/** The gym's own, and with them a client's where one is named. */
export const programmesQuery = (client: string | null = null) =>
  queryOptions({
    queryKey: keys.programmesOf(client),
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/programmes", { params: { query: client === null ? {} : { client } }, signal })),
  });

export const circlesQuery = queryOptions({
  queryKey: keys.circles,
  queryFn: ({ signal }) => unwrap(api.GET("/api/circles", { signal })),
});

/** At which stations a group's person works. */
export const stationsQuery = (id: string) =>
  queryOptions({
    queryKey: keys.stations(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}/stations", { params: { path: { id } }, signal })),
    select: ({ works }) => works,
  });

/** On every tablet the round that is worked in. */
const ROUND_LOOKED_AGAIN_MS = 5000;
export const circleQuery = (id: string) =>
  queryOptions({
    queryKey: keys.circle(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/circles/{id}", { params: { path: { id } }, signal })),
    refetchInterval: (query) => (query.state.data?.round ? ROUND_LOOKED_AGAIN_MS : false),
  });
