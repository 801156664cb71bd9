// Clients: the page, cautions, limits, rules, what is predicted.
import { infiniteQueryOptions, keepPreviousData, queryOptions } from "@tanstack/react-query";
import { api, unwrap } from "../client";
import { keys } from "../keys";
import type { ExerciseName } from "../types";

export const cautionsQuery = (id: string) =>
  queryOptions({
    queryKey: keys.cautions(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}/cautions", { params: { path: { id } }, signal })),
  });

export const clientRulesQuery = (id: string) =>
  queryOptions({
    queryKey: keys.clientRules(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}/rules", { params: { path: { id } }, signal })),
  });

/** Records that were joined into this one. */
export const joinsQuery = (id: string) =>
  queryOptions({
    queryKey: keys.joins(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}/joins", { params: { path: { id } }, signal })),
  });

/** Two records held beside one another: always as they are now. */
export const besideQuery = (id: string, other: string) =>
  queryOptions({
    queryKey: keys.beside(id, other),
    gcTime: 0,
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/clients/{id}/joins/{other}", { params: { path: { id, other } }, signal })),
  });

export const clientQuery = (id: string) =>
  queryOptions({
    queryKey: keys.client(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}", { params: { path: { id } }, signal })),
  });

/** What is predicted for a client on every machine: computed, so asked for beside the page. */
export const predictionsQuery = (id: string) =>
  queryOptions({
    queryKey: keys.predictions(id),
    gcTime: 0, // what no longer holds is not shown again
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}/predictions", { params: { path: { id } }, signal })),
  });

/** The letters are part of the key in memory; on the wire they stand in the body. */
export const searchQuery = (text: string) =>
  queryOptions({
    queryKey: keys.search(text),
    queryFn: ({ signal }) => unwrap(api.POST("/api/clients/search", { body: { text }, signal })),
    placeholderData: keepPreviousData,
  });

/** A client's fittings on one machine, side by side. */
export const historyQuery = (id: string, machine: string, exercise: ExerciseName) =>
  queryOptions({
    queryKey: keys.history(id, machine, exercise),
    queryFn: ({ signal }) =>
      unwrap(api.GET("/api/clients/{id}/history", { params: { path: { id }, query: { machine, exercise } }, signal })),
  });

export const limitsQuery = (id: string) =>
  queryOptions({
    queryKey: keys.limits(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}/limits", { params: { path: { id } }, signal })),
  });

/** Everybody with these letters, page by page. */
export const searchAllQuery = (text: string) =>
  infiniteQueryOptions({
    queryKey: keys.searchAll(text),
    queryFn: ({ pageParam, signal }) =>
      unwrap(api.POST("/api/clients/search", { body: { text, after: pageParam }, signal })),
    initialPageParam: null as string[] | null,
    getNextPageParam: (page) => page.next,
  });
