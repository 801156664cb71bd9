// Server data: key, fetcher and type of each question in one place.
import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { sameMarks } from "../model/marks";
import { api, unwrap } from "./client";
import type { Evaluation, Marks } from "./types";

export const meQuery = queryOptions({
  queryKey: ["me"],
  queryFn: () => unwrap(api.GET("/api/me")),
  staleTime: 5 * 60_000,
});

export const floorQuery = queryOptions({ queryKey: ["floor"], queryFn: () => unwrap(api.GET("/api/floor")) });

export const machinesQuery = queryOptions({
  queryKey: ["machines"],
  queryFn: () => unwrap(api.GET("/api/machines")).then(({ machines }) => machines),
  staleTime: 60_000,
});

export const clientQuery = (id: string) =>
  queryOptions({
    queryKey: ["client", id],
    queryFn: () => unwrap(api.GET("/api/clients/{id}", { params: { path: { id } } })),
  });

/** The letters are part of the key in memory; on the wire they stand in the body. */
export const searchQuery = (text: string) =>
  queryOptions({
    queryKey: ["clients", text],
    queryFn: () => unwrap(api.POST("/api/clients/search", { body: { text } })),
    placeholderData: keepPreviousData,
  });

export const fittingQuery = (id: string) =>
  queryOptions({
    queryKey: ["fitting", id],
    queryFn: () => unwrap(api.GET("/api/fittings/{id}", { params: { path: { id } } })),
    staleTime: Infinity,
    gcTime: 0,
  });

/** What marks do. The same marks are not asked twice while the body is the same. */
export const evaluationQuery = (id: string, marks: Marks, first: Evaluation) =>
  queryOptions({
    queryKey: ["fitting", id, "evaluation", marks],
    queryFn: () => unwrap(api.POST("/api/fittings/{id}/evaluation", { params: { path: { id } }, body: { marks } })),
    initialData: () => (sameMarks(first.marks, marks) ? first : undefined),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
