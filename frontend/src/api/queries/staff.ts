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

/** Whether this server holds no gym yet. */
export const firstQuery = queryOptions({
  queryKey: keys.first,
  queryFn: ({ signal }) => unwrap(api.GET("/auth/first", { signal })),
});

/** What a link opens. Asked once: whoever guesses is counted. */
export const linkQuery = (secret: string) =>
  queryOptions({
    queryKey: keys.link(secret),
    queryFn: ({ signal }) => unwrap(api.POST("/auth/link", { body: { secret }, signal })),
    retry: false,
    refetchOnWindowFocus: false,
    staleTime: Infinity,
  });

export const colleaguesQuery = queryOptions({
  queryKey: keys.colleagues,
  queryFn: ({ signal }) => unwrap(api.GET("/api/staff", { signal })),
});

/** What a gym that was begun wants next. */
export const beginningsQuery = queryOptions({
  queryKey: keys.beginnings,
  queryFn: ({ signal }) => unwrap(api.GET("/api/beginnings", { signal })),
});

/** A client's own card, by the secret of its link. */
export const ownCardQuery = (secret: string) =>
  queryOptions({
    queryKey: keys.ownCard(secret),
    queryFn: ({ signal }) => unwrap(api.POST("/auth/own-card", { body: { secret }, signal })),
    retry: false,
  });

/** The links to a client's own card. */
export const clientLinksQuery = (id: string) =>
  queryOptions({
    queryKey: keys.clientLinks(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}/links", { params: { path: { id } }, signal })),
  });

/** The gym's clinicians, and who of them is shown a client. */
export const sharingQuery = (id: string) =>
  queryOptions({
    queryKey: keys.sharing(id),
    queryFn: ({ signal }) => unwrap(api.GET("/api/clients/{id}/sharing", { params: { path: { id } }, signal })),
  });
