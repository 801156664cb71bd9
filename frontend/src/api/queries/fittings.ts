// A fitting, what the bench computes of it, and what is lifted on it.
import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import same from "fast-deep-equal";
import { sameAids, sameMarks } from "../../lib/same";
import { api, unwrap } from "../client";
import { keys } from "../keys";
import type { FittingPage, Sheet, Work } from "../types";

export const fittingQuery = (id: string) =>
  queryOptions({
    queryKey: keys.fitting(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/fittings/{id}", { params: { path: { id } }, signal })),
    staleTime: Infinity,
    gcTime: 0,
  });

/** What marks do. The same marks are not asked twice while the body is the same. */
export const evaluationQuery = (
  id: string,
  { marks, aids, work: { aim = null } }: Pick<Sheet, "marks" | "aids" | "work">,
  { evaluation: first, work }: Pick<FittingPage, "evaluation" | "work">,
) =>
  queryOptions({
    queryKey: keys.computed(id, "evaluation", marks, aids, aim),
    queryFn: ({ signal }) =>
      unwrap(
        api.POST("/api/fittings/{id}/evaluation", { params: { path: { id } }, body: { marks, aids, aim }, signal }),
      ),
    initialData: () =>
      sameMarks(first.marks, marks) && sameAids(first.aids, aids) && (work.aim ?? null) === aim ? first : undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

/** What is probably behind each sign at these marks, a creep test counted in; what all that was watched speaks for. */
export const signsQuery = (id: string, { marks, aids, signs, creep, trail, work }: Sheet) => {
  const watched = work.watched ?? [];
  return queryOptions({
    queryKey: keys.computed(id, "signs", marks, aids, signs, creep, trail, watched),
    queryFn: ({ signal }) =>
      unwrap(
        api.POST("/api/fittings/{id}/signs", {
          params: { path: { id } },
          body: { marks, aids, signs, creep, trail, watched },
          signal,
        }),
      ),
    enabled: signs.length > 0 || watched.length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
};

/** What later moves disturbed of what was seen before. */
export const againQuery = (id: string, { marks, aids, flow: { done } }: Sheet) =>
  queryOptions({
    queryKey: keys.computed(id, "again", marks, aids, done),
    queryFn: ({ signal }) =>
      unwrap(api.POST("/api/fittings/{id}/again", { params: { path: { id } }, body: { marks, aids, done }, signal })),
    enabled: Object.values(done).some((seen) => !sameMarks(seen.marks, marks) || !same(seen.aids, aids)),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

export const creepQuery = (id: string, { marks, aids, creep }: Sheet) =>
  queryOptions({
    queryKey: keys.computed(id, "creep", marks, aids, creep),
    queryFn: ({ signal }) =>
      unwrap(api.POST("/api/fittings/{id}/creep", { params: { path: { id } }, body: { marks, aids, creep }, signal })),
    enabled: (creep.readings?.length ?? 0) >= 2,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

/** How a load is made on this machine, and what belongs to it. */
export const loadsQuery = (id: string, work: Work) => {
  const { load_kg: wanted_kg, left_kg, right_kg, last, repetitions, aim = null } = work;
  const body = { wanted_kg, left_kg, right_kg, last, repetitions, aim };
  return queryOptions({
    queryKey: keys.computed(id, "loads", body),
    queryFn: ({ signal }) => unwrap(api.POST("/api/fittings/{id}/loads", { params: { path: { id } }, body, signal })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
};

export const setUpQuery = (id: string) =>
  queryOptions({
    queryKey: keys.setUp(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/fittings/{id}/set-up", { params: { path: { id } }, signal })),
  });

/** A client's visits on the machine of an accepted fitting. */
export const progressQuery = (id: string) =>
  queryOptions({
    queryKey: keys.progress(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/fittings/{id}/progress", { params: { path: { id } }, signal })),
  });
