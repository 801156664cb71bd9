// Who is signed in, and where.
import { queryOptions } from "@tanstack/react-query";
import { api, getOwnSessions, getTablet, unwrap } from "../client";
import { keys } from "../keys";

export const meQuery = queryOptions({
  queryKey: keys.me,
  queryFn: ({ signal }) => unwrap(api.GET("/api/me", { signal })),
  staleTime: 5 * 60_000,
});

export const tabletQuery = queryOptions({ queryKey: keys.tablet, queryFn: getTablet });

export const ownSessionsQuery = queryOptions({ queryKey: keys.ownSessions, queryFn: getOwnSessions });
