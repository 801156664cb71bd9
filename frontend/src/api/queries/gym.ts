// What a gym is, owns and chose; what is due; who did what.
import { infiniteQueryOptions, keepPreviousData, queryOptions } from "@tanstack/react-query";
import { api, unwrap } from "../client";
import { keys } from "../keys";

export const floorQuery = queryOptions({
  queryKey: keys.floor,
  queryFn: ({ signal }) => unwrap(api.GET("/api/floor", { signal })),
});

export const pastTheirTimeQuery = queryOptions({
  queryKey: keys.pastTheirTime,
  queryFn: ({ signal }) => unwrap(api.GET("/api/past-their-time", { signal })),
});

export const temposQuery = queryOptions({
  queryKey: keys.tempos,
  queryFn: ({ signal }) => unwrap(api.GET("/api/tempos", { signal })),
});

export const aimsQuery = queryOptions({
  queryKey: keys.aims,
  queryFn: ({ signal }) => unwrap(api.GET("/api/aims", { signal })),
});

export const cuesQuery = queryOptions({
  queryKey: keys.cues,
  queryFn: ({ signal }) => unwrap(api.GET("/api/cues", { signal })),
});
export const rulesQuery = queryOptions({
  queryKey: keys.rules,
  queryFn: ({ signal }) => unwrap(api.GET("/api/rules", { signal })),
});

export const equipmentQuery = queryOptions({
  queryKey: keys.equipment,
  queryFn: ({ signal }) => unwrap(api.GET("/api/equipment", { signal })),
});

/** Everything of the gym that has these letters. */
export const findQuery = (text: string) =>
  queryOptions({
    queryKey: keys.found(text),
    queryFn: ({ signal }) => unwrap(api.POST("/api/search", { body: { text }, signal })),
    placeholderData: keepPreviousData,
  });

export const gymQuery = queryOptions({
  queryKey: keys.gym,
  queryFn: ({ signal }) => unwrap(api.GET("/api/gym", { signal })),
});

/** Settings that should be looked at again: partly computed, so asked for beside the page. */
export const refitsQuery = queryOptions({
  queryKey: keys.refits,
  queryFn: ({ signal }) => unwrap(api.GET("/api/refits", { signal })),
});

/** Clients by machines. */
export const boardQuery = (weeks: string, place: string | null) =>
  queryOptions({
    queryKey: keys.board(weeks, place),
    queryFn: ({ signal }) =>
      unwrap(
        api.GET("/api/board", { params: { query: { weeks: Number(weeks), ...(place ? { place } : {}) } }, signal }),
      ),
    placeholderData: keepPreviousData,
  });

/** Who did what, page by page; of one client or machine, or of all. */
export const auditQuery = (of: string | null) =>
  infiniteQueryOptions({
    queryKey: keys.audit(of),
    queryFn: ({ pageParam, signal }) =>
      unwrap(
        api.GET("/api/audit", {
          params: { query: { ...(of ? { of } : {}), ...(pageParam === null ? {} : { before: pageParam }) } },
          signal,
        }),
      ),
    initialPageParam: null as number | null,
    getNextPageParam: (last) => last.next,
  });

export const platesQuery = queryOptions({
  queryKey: keys.plates,
  queryFn: ({ signal }) => unwrap(api.GET("/api/plates", { signal })),
});

export const bandsQuery = queryOptions({
  queryKey: keys.bands,
  queryFn: ({ signal }) => unwrap(api.GET("/api/bands", { signal })),
});

/** Whose advice another school of a question would change. */
export const ruleChangesQuery = (question: string, school: string) =>
  queryOptions({
    queryKey: keys.ruleChanges(question, school),
    queryFn: ({ signal }) =>
      unwrap(api.POST("/api/rules/{question}/changes", { params: { path: { question } }, body: { school }, signal })),
  });
