// Practising on people who are made up.
import { queryOptions } from "@tanstack/react-query";
import { api, unwrap } from "../client";
import { keys } from "../keys";

export const practiceQuery = queryOptions({
  queryKey: keys.practice,
  queryFn: ({ signal }) => unwrap(api.GET("/api/practice", { signal })),
});

export const practiceRunQuery = (id: string) =>
  queryOptions({
    queryKey: keys.practiceRun(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/practice/runs/{id}", { params: { path: { id } }, signal })),
    staleTime: Infinity,
  });

export const debriefQuery = (id: string) =>
  queryOptions({
    queryKey: keys.debrief(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/practice/runs/{id}/debrief", { params: { path: { id } }, signal })),
    staleTime: Infinity,
  });
