// Machines, how people fit them, who comes next.
import { infiniteQueryOptions, keepPreviousData, queryOptions } from "@tanstack/react-query";
import { api, unwrap } from "../client";
import type { paths } from "../generated/schema";
import { keys } from "../keys";
import type { ExerciseName, WallNames } from "../types";

export const machinesQuery = queryOptions({
  queryKey: keys.machines,
  queryFn: ({ signal }) => unwrap(api.GET("/api/machines", { signal })).then(({ machines }) => machines),
  staleTime: 60_000,
});

export const familiesQuery = queryOptions({
  queryKey: keys.families,
  queryFn: ({ signal }) => unwrap(api.GET("/api/families", { signal })).then(({ families }) => families),
  staleTime: Infinity,
});

export const machineQuery = (id: string) =>
  queryOptions({
    queryKey: keys.machine(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/machines/{id}", { params: { path: { id } }, signal })),
  });

export const populationQuery = (id: string, exercise: ExerciseName) =>
  queryOptions({
    queryKey: keys.populationOf(id, exercise),
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/machines/{id}/population", { params: { path: { id }, query: { exercise } }, signal })),
    staleTime: 60_000,
  });

/** Whom the machines of one joint action fit. */
export const whoFitsQuery = (action: string | null) =>
  queryOptions({
    queryKey: keys.whoFits(action),
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/who-fits", { params: { query: action === null ? {} : { action } }, signal })),
    staleTime: 60_000,
    placeholderData: keepPreviousData,
  });

/** Which length, read next, would help most people. */
export const bestReadingQuery = queryOptions({
  queryKey: keys.bestReading,
  queryFn: ({ signal }) => unwrap(api.GET("/api/best-reading", { signal })),
  staleTime: 60_000,
});

/** How far it sits from its tape, by its fittings. */
export const machineErrorsQuery = (id: string, version: number) =>
  queryOptions({
    queryKey: keys.machineErrors(id, version),
    queryFn: ({ signal }) => unwrap(api.GET("/api/machines/{id}/errors", { params: { path: { id } }, signal })),
    select: ({ errors }) => errors,
  });

/** Which single change would bring more people in line: asked when somebody wants to know. */
export const wideningQuery = (id: string, exercise: ExerciseName, version: number, wanted: boolean) =>
  queryOptions({
    queryKey: keys.widening(id, exercise, version),
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/machines/{id}/widening", { params: { path: { id }, query: { exercise } }, signal })),
    enabled: wanted,
    staleTime: 60_000,
  });

/** Everybody's settings on a machine in the place of this one, some people at a time; none before one is chosen. */
export const replacementQuery = (id: string, instead: string) =>
  infiniteQueryOptions({
    queryKey: keys.replacement(id, instead),
    queryFn: ({ pageParam, signal }) =>
      unwrap(
        api.GET("/api/machines/{id}/replacement", {
          params: { path: { id }, query: instead === "" ? {} : { instead, from: pageParam } },
          signal,
        }),
      ),
    initialPageParam: 0,
    getNextPageParam: (page) => page.following,
    staleTime: 60_000,
  });

/** Whose advice the last change of a machine's lengths changed. */
export const changesQuery = (id: string, number: number) =>
  queryOptions({
    queryKey: keys.changes(id, number),
    queryFn: ({ signal }) => unwrap(api.GET("/api/machines/{id}/changes", { params: { path: { id } }, signal })),
    enabled: number > 1,
  });

type SheetView = { exercise?: string; columns?: string; sort?: string; names?: WallNames };

/** Everybody's marks on a machine. */
export const wallSheetQuery = (id: string, query: SheetView) =>
  queryOptions({
    queryKey: keys.wallSheet(id, query),
    queryFn: ({ signal }) => unwrap(api.GET("/api/machines/{id}/sheet", { params: { path: { id }, query }, signal })),
    placeholderData: keepPreviousData,
  });

export const queueQuery = (id: string, exercise: ExerciseName) =>
  queryOptions({
    queryKey: keys.queue(id, exercise),
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/machines/{id}/queue", { params: { path: { id }, query: { exercise } }, signal })),
  });

type Tried = NonNullable<paths["/api/machines/{id}/trial"]["post"]["requestBody"]>["content"]["application/json"];

/** What a length would do; nothing is written. */
export const trialQuery = (id: string, version: number, body: Tried) =>
  queryOptions({
    queryKey: keys.trial(id, body, version),
    queryFn: ({ signal }) => unwrap(api.POST("/api/machines/{id}/trial", { params: { path: { id } }, body, signal })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
