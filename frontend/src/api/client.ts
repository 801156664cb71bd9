// The typed client: one fetch for every call, errors as one kind, a key for every write.
import { noteVersion } from "../lib/newer";
import { say } from "../lib/say";
import createClient from "openapi-fetch";
import type { paths } from "./generated/schema";
import type { ApiError } from "./types";

/** What the server refused, in its own words; status 0 when it was not reached at all. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly error: ApiError,
  ) {
    super(error.message);
  }
}

export const UNREACHED: ApiError = {
  code: "unreached",
  path: "",
  params: {},
  message: say("client.unreached"),
};

export const api = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: async (request) => {
    const response = await fetch(request);
    noteVersion(response);
    return response;
  },
});

/** Header of a write: the same key again means the same write again. */
export const newKey = (): { "Idempotency-Key": string } => ({ "Idempotency-Key": crypto.randomUUID() });

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** Sent to the window when an answer says that nobody is signed in any more. */
export const SIGNED_OUT = "verglas:signed-out";
/** The question of who is signed in, which is asked again then. */
const ASKS_WHO = "/api/me";

/** The data of an answer, or Refused. */
export async function unwrap<T>(call: Promise<Answer<T>>): Promise<T> {
  const answer = await call.catch(() => null);
  if (!answer) throw new Refused(0, UNREACHED);
  if (answer.data !== undefined) return answer.data;
  const error = answer.error as ApiError | undefined;
  if (error?.code === "sign_in_needed" && !answer.response.url.endsWith(ASKS_WHO))
    window.dispatchEvent(new Event(SIGNED_OUT));
  throw new Refused(answer.response.status, numbered(error && "code" in error ? error : UNREACHED, answer.response));
}

const OUR_FAULT = 500;
const DIGITS = 8;

/** What went wrong on our side is told with the number under which the server's log has it. */
function numbered(error: ApiError, { status, headers }: Response): ApiError {
  const number = headers.get("x-request-id")?.slice(0, DIGITS);
  if (status < OUR_FAULT || !number) return error;
  return { ...error, message: say("client.numbered", { message: error.message, number }) };
}

/** The server's error, or null for anything else. */
export const refusal = (thrown: unknown): ApiError | null => (thrown instanceof Refused ? thrown.error : null);

/** What stands there now, where somebody else was quicker; null for anything else. T: what was written. */
export const standing = <T>(thrown: unknown): T | null =>
  thrown instanceof Refused && thrown.status === 409 ? ((thrown.error.current as T | undefined) ?? null) : null;

/** The message for one field of a form. */
export const complaintAt = (thrown: unknown, path: string): string | undefined => {
  const error = refusal(thrown);
  return error?.path === path ? error.message : undefined;
};

type AuthPath = "login" | "logout" | "lock" | "pin" | "switch" | "password" | "sessions/end";

export async function postAuth(path: AuthPath, body: Record<string, string | number>): Promise<void> {
  const response = await fetch(`/auth/${path}`, {
    method: "POST",
    headers: { "content-type": "application/json", accept: "application/json" },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (!response) throw new Refused(0, UNREACHED);
  if (!response.ok) throw new Refused(response.status, (await response.json().catch(() => UNREACHED)) as ApiError);
}

/** Where whoever is signed in is signed in too. */
export type OwnSession = { session: string; device: string; since: string | null; last: string | null; here: boolean };

export const getOwnSessions = (): Promise<OwnSession[]> =>
  unwrap(api.GET("/auth/sessions")).then(({ sessions }) => sessions);

/** Who may take this tablet over with a PIN. */
export type Tablet = { locked: boolean; me: number | null; staff: { id: number; name: string; pin: boolean }[] };

export async function getTablet(): Promise<Tablet> {
  const response = await fetch("/auth/tablet", { headers: { accept: "application/json" } }).catch(() => null);
  if (!response?.ok) throw new Refused(response?.status ?? 0, UNREACHED);
  return (await response.json()) as Tablet;
}
