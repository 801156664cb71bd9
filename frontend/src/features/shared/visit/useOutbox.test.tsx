// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type SetBody, useOutbox } from "./useOutbox";

const SET: SetBody = {
  number: 1,
  load_kg: 20,
  repetitions: 10,
  last: "clean",
  reached: 1,
  felt: null,
  sign: null,
  said: null,
  kind: "",
  helped: 0,
  movement: null,
  leg: "",
  watched_by: 1,
};
const wrapper = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
);
const answer = (status: number, body: object) =>
  new Response(JSON.stringify(body), { status, headers: { "content-type": "application/json" } });

describe("sets on their way", () => {
  const sent: { url: string; key: string | null }[] = [];
  let reply: () => Promise<Response>;
  beforeEach(() => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    sent.length = 0;
    vi.stubGlobal("fetch", (request: Request) => {
      sent.push({ url: request.url, key: request.headers.get("Idempotency-Key") });
      return reply();
    });
  });
  afterEach(() => {
    localStorage.clear();
    vi.unstubAllGlobals();
    vi.useRealTimers();
  });

  it("wait without a network, and go one after another when it is back, each under its own key, once", async () => {
    reply = () => Promise.reject(new TypeError("away"));
    const { result, unmount } = renderHook(() => useOutbox(1), { wrapper });
    act(() => result.current.put("first", SET));
    act(() => result.current.put("second", SET));
    await waitFor(() => expect(sent.length).toBeGreaterThan(0));
    unmount();
    reply = () => Promise.resolve(answer(201, {}));
    const again = renderHook(() => useOutbox(1), { wrapper }).result;
    expect(again.current.entries.map(({ of }) => of)).toEqual(["first", "second"]);
    await waitFor(() => expect(again.current.entries).toEqual([]));
    const arrived = sent.slice(-2);
    expect(arrived.map(({ url }) => url.split("/").at(-2))).toEqual(["first", "second"]);
    expect(sent[0]?.key).toBe(arrived[0]?.key);
    expect(arrived[0]?.key).not.toBe(arrived[1]?.key);
    expect(localStorage.length).toBe(0);
  });

  it("are let go where the server refuses them, with its words; not where nobody is signed in", async () => {
    reply = () =>
      Promise.resolve(
        answer(422, { code: "past_load_limit", path: "", params: {}, message: "Above what is allowed." }),
      );
    const { result } = renderHook(() => useOutbox(1), { wrapper });
    act(() => result.current.put("first", SET));
    await waitFor(() => expect(result.current.problem).toBe("Above what is allowed."));
    expect(result.current.entries).toEqual([]);
    reply = () => Promise.resolve(answer(401, { code: "sign_in_needed", path: "", params: {}, message: "" }));
    act(() => result.current.put("first", SET));
    await waitFor(() => expect(sent.length).toBe(2));
    expect(result.current.entries).toHaveLength(1);
  });

  it("of somebody else are not seen", () => {
    reply = () => Promise.reject(new TypeError("away"));
    const { result } = renderHook(() => useOutbox(1), { wrapper });
    act(() => result.current.put("first", SET));
    expect(renderHook(() => useOutbox(2), { wrapper }).result.current.entries).toEqual([]);
  });
});
