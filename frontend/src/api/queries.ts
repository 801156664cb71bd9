// Server data: key, fetcher and type of each question in one place.
import { infiniteQueryOptions, keepPreviousData, queryOptions } from "@tanstack/react-query";
import same from "fast-deep-equal";
import { sameAids, sameMarks } from "../lib/same";
import { api, getOwnSessions, getTablet, unwrap } from "./client";
import type { ExerciseName, FittingPage, Sheet, WallNames, Work } from "./types";

export const meQuery = queryOptions({
  queryKey: ["me"],
  queryFn: () => unwrap(api.GET("/api/me")),
  staleTime: 5 * 60_000,
});

export const tabletQuery = queryOptions({ queryKey: ["tablet"], queryFn: getTablet });

export const ownSessionsQuery = queryOptions({ queryKey: ["own-sessions"], queryFn: getOwnSessions });

export const floorQuery = queryOptions({ queryKey: ["floor"], queryFn: () => unwrap(api.GET("/api/floor")) });

export const machinesQuery = queryOptions({
  queryKey: ["machines"],
  queryFn: () => unwrap(api.GET("/api/machines")).then(({ machines }) => machines),
  staleTime: 60_000,
});

export const familiesQuery = queryOptions({
  queryKey: ["families"],
  queryFn: () => unwrap(api.GET("/api/families")).then(({ families }) => families),
  staleTime: Infinity,
});

export const machineQuery = (id: string) =>
  queryOptions({
    queryKey: ["machine", id],
    queryFn: () => unwrap(api.GET("/api/machines/{id}", { params: { path: { id } } })),
  });

export const populationQuery = (id: string, exercise: ExerciseName) =>
  queryOptions({
    queryKey: ["machine", id, "population", exercise],
    queryFn: () => unwrap(api.GET("/api/machines/{id}/population", { params: { path: { id }, query: { exercise } } })),
    staleTime: 60_000,
  });

/** Whose advice the last change of a machine's lengths changed. */
export const changesQuery = (id: string, number: number) =>
  queryOptions({
    queryKey: ["machine", id, "changes", number],
    queryFn: () => unwrap(api.GET("/api/machines/{id}/changes", { params: { path: { id } } })),
    enabled: number > 1,
  });

export const cautionsQuery = (id: string) =>
  queryOptions({
    queryKey: ["client", id, "cautions"],
    queryFn: () => unwrap(api.GET("/api/clients/{id}/cautions", { params: { path: { id } } })),
  });

export const pastTheirTimeQuery = queryOptions({
  queryKey: ["past-their-time"],
  queryFn: () => unwrap(api.GET("/api/past-their-time")),
});

export const temposQuery = queryOptions({ queryKey: ["tempos"], queryFn: () => unwrap(api.GET("/api/tempos")) });

export const aimsQuery = queryOptions({ queryKey: ["aims"], queryFn: () => unwrap(api.GET("/api/aims")) });

export const rulesQuery = queryOptions({ queryKey: ["rules"], queryFn: () => unwrap(api.GET("/api/rules")) });

export const clientRulesQuery = (id: string) =>
  queryOptions({
    queryKey: ["client", id, "rules"],
    queryFn: () => unwrap(api.GET("/api/clients/{id}/rules", { params: { path: { id } } })),
  });

export const equipmentQuery = queryOptions({
  queryKey: ["equipment"],
  queryFn: () => unwrap(api.GET("/api/equipment")),
});

export const clientQuery = (id: string) =>
  queryOptions({
    queryKey: ["client", id],
    queryFn: () => unwrap(api.GET("/api/clients/{id}", { params: { path: { id } } })),
  });

/** What is predicted for a client on every machine: computed, so asked for beside the page. */
export const predictionsQuery = (id: string) =>
  queryOptions({
    queryKey: ["client", id, "predictions"],
    gcTime: 0, // what no longer holds is not shown again
    queryFn: () => unwrap(api.GET("/api/clients/{id}/predictions", { params: { path: { id } } })),
  });

/** The letters are part of the key in memory; on the wire they stand in the body. */
export const searchQuery = (text: string) =>
  queryOptions({
    queryKey: ["clients", text],
    queryFn: () => unwrap(api.POST("/api/clients/search", { body: { text } })),
    placeholderData: keepPreviousData,
  });

/** Everything of the gym that has these letters. */
export const findQuery = (text: string) =>
  queryOptions({
    queryKey: ["found", text],
    queryFn: () => unwrap(api.POST("/api/search", { body: { text } })),
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
export const evaluationQuery = (
  id: string,
  { marks, aids, work: { aim = null } }: Pick<Sheet, "marks" | "aids" | "work">,
  { evaluation: first, work }: Pick<FittingPage, "evaluation" | "work">,
) =>
  queryOptions({
    queryKey: ["fitting", id, "evaluation", marks, aids, aim],
    queryFn: () =>
      unwrap(api.POST("/api/fittings/{id}/evaluation", { params: { path: { id } }, body: { marks, aids, aim } })),
    initialData: () =>
      sameMarks(first.marks, marks) && sameAids(first.aids, aids) && (work.aim ?? null) === aim ? first : undefined,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

/** What is probably behind each sign at these marks, a creep test counted in. */
export const signsQuery = (id: string, { marks, aids, signs, creep }: Sheet) =>
  queryOptions({
    queryKey: ["fitting", id, "signs", marks, aids, signs, creep],
    queryFn: () =>
      unwrap(api.POST("/api/fittings/{id}/signs", { params: { path: { id } }, body: { marks, aids, signs, creep } })),
    enabled: signs.length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

/** What later moves disturbed of what was seen before. */
export const againQuery = (id: string, { marks, aids, flow: { done } }: Sheet) =>
  queryOptions({
    queryKey: ["fitting", id, "again", marks, aids, done],
    queryFn: () =>
      unwrap(api.POST("/api/fittings/{id}/again", { params: { path: { id } }, body: { marks, aids, done } })),
    enabled: Object.values(done).some((seen) => !sameMarks(seen.marks, marks) || !same(seen.aids, aids)),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

export const creepQuery = (id: string, { marks, aids, creep }: Sheet) =>
  queryOptions({
    queryKey: ["fitting", id, "creep", marks, aids, creep],
    queryFn: () =>
      unwrap(api.POST("/api/fittings/{id}/creep", { params: { path: { id } }, body: { marks, aids, creep } })),
    enabled: (creep.readings?.length ?? 0) >= 2,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

/** How a load is made on this machine, and what belongs to it. */
export const loadsQuery = (id: string, work: Work) => {
  const { load_kg: wanted_kg, left_kg, right_kg, last, repetitions, aim = null } = work;
  const body = { wanted_kg, left_kg, right_kg, last, repetitions, aim };
  return queryOptions({
    queryKey: ["fitting", id, "loads", body],
    queryFn: () => unwrap(api.POST("/api/fittings/{id}/loads", { params: { path: { id } }, body })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
};

export const setUpQuery = (id: string) =>
  queryOptions({
    queryKey: ["set-up", id],
    queryFn: () => unwrap(api.GET("/api/fittings/{id}/set-up", { params: { path: { id } } })),
  });

/** A client's fittings on one machine, side by side. */
export const historyQuery = (id: string, machine: string, exercise: ExerciseName) =>
  queryOptions({
    queryKey: ["client", id, "history", machine, exercise],
    queryFn: () =>
      unwrap(api.GET("/api/clients/{id}/history", { params: { path: { id }, query: { machine, exercise } } })),
  });

/** A client's visits on the machine of an accepted fitting. */
export const progressQuery = (id: string) =>
  queryOptions({
    queryKey: ["progress", id],
    queryFn: () => unwrap(api.GET("/api/fittings/{id}/progress", { params: { path: { id } } })),
  });

export const gymQuery = queryOptions({ queryKey: ["gym"], queryFn: () => unwrap(api.GET("/api/gym")) });

/** Settings that should be looked at again: partly computed, so asked for beside the page. */
export const refitsQuery = queryOptions({ queryKey: ["refits"], queryFn: () => unwrap(api.GET("/api/refits")) });

/** Clients by machines. */
export const boardQuery = (weeks: string, place: string | null) =>
  queryOptions({
    queryKey: ["board", weeks, place],
    queryFn: () =>
      unwrap(api.GET("/api/board", { params: { query: { weeks: Number(weeks), ...(place ? { place } : {}) } } })),
    placeholderData: keepPreviousData,
  });

/** Who did what, page by page; of one client or machine, or of all. */
export const auditQuery = (of: string | null) =>
  infiniteQueryOptions({
    queryKey: ["audit", of],
    queryFn: ({ pageParam }) =>
      unwrap(
        api.GET("/api/audit", {
          params: { query: { ...(of ? { of } : {}), ...(pageParam === null ? {} : { before: pageParam }) } },
        }),
      ),
    initialPageParam: null as number | null,
    getNextPageParam: (last) => last.next,
  });

type SheetView = { exercise?: string; columns?: string; sort?: string; names?: WallNames };

/** Everybody's marks on a machine. */
export const wallSheetQuery = (id: string, query: SheetView) =>
  queryOptions({
    queryKey: ["machine", id, "sheet", query],
    queryFn: () => unwrap(api.GET("/api/machines/{id}/sheet", { params: { path: { id }, query } })),
    placeholderData: keepPreviousData,
  });

export const queueQuery = (id: string, exercise: ExerciseName) =>
  queryOptions({
    queryKey: ["queue", id, exercise],
    queryFn: () => unwrap(api.GET("/api/machines/{id}/queue", { params: { path: { id }, query: { exercise } } })),
  });

export const limitsQuery = (id: string) =>
  queryOptions({
    queryKey: ["client", id, "limits"],
    queryFn: () => unwrap(api.GET("/api/clients/{id}/limits", { params: { path: { id } } })),
  });

export const platesQuery = queryOptions({
  queryKey: ["plates"],
  queryFn: () => unwrap(api.GET("/api/plates")),
});
