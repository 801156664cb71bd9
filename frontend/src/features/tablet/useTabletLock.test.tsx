// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook } from "@testing-library/react";
import type { PropsWithChildren } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { pass, standInServer, stopClocks } from "../../../testing/server";
import { Refused } from "../../api/client";
import { keys } from "../../api/keys";
import { noteLocked, wasLocked } from "../shared/lockFlag";
import { useTabletLock } from "./useTabletLock";

const IDLE_MINUTES = 3;
const IDLE_MS = IDLE_MINUTES * 60_000;
const LOCK = { method: "POST", path: "/auth/lock" };
const done = [200, {}] as const;

function tablet(pin = true) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const wrapper = ({ children }: PropsWithChildren) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const { result } = renderHook(() => useTabletLock(pin, IDLE_MINUTES), { wrapper });
  return { client, locked: () => result.current.lock !== null, now: () => result.current };
}

describe("a shared tablet", () => {
  let server: ReturnType<typeof standInServer>;
  beforeEach(() => {
    server = standInServer();
    stopClocks();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
    localStorage.clear();
  });

  it("locks itself when nobody touched it for as long as the gym has it", async () => {
    const { locked } = tablet();
    await pass(IDLE_MS - 1000);
    act(() => void window.dispatchEvent(new Event("pointerdown")));
    await pass(IDLE_MS - 1000);
    expect([locked(), wasLocked(), server.asked.length]).toEqual([false, false, 0]);
    server.answer(done);
    await pass(1000);
    expect([locked(), wasLocked()]).toEqual([true, true]);
    expect(server.asked).toMatchObject([LOCK]);
  });

  it("stays open where nobody has a PIN to open it with, and is locked by hand all the same", async () => {
    const { locked, now } = tablet(false);
    await pass(3 * IDLE_MS);
    expect(locked()).toBe(false);
    server.answer(done);
    act(() => now().lockNow());
    expect(locked()).toBe(true);
    await pass(0);
    expect(server.asked).toMatchObject([LOCK]);
  });

  it("is locked at once without a network, and tells the server until it has heard", async () => {
    const { locked, now } = tablet();
    server.answer(null, null, done);
    act(() => now().lockNow());
    expect(locked()).toBe(true);
    await pass(0);
    await pass(2600);
    await pass(2600);
    expect(server.asked).toMatchObject([LOCK, LOCK, LOCK]);
    await pass(60_000);
    expect(server.asked).toHaveLength(3);
  });

  it("opens nothing when it is loaded anew, and tells the server again", async () => {
    noteLocked();
    server.answer(done);
    const { locked } = tablet();
    expect(locked()).toBe(true);
    await pass(0);
    expect(server.asked).toMatchObject([LOCK]);
  });

  it("locks in a tab that did not know it, once the server says so", async () => {
    const { client, locked } = tablet();
    const refused = new Refused(423, { code: "tablet_locked", path: "", params: {}, message: "" });
    const asked = client.fetchQuery({ queryKey: keys.ownSessions, queryFn: () => Promise.reject(refused) });
    await act(async () => expect(await asked.catch((thrown: unknown) => thrown)).toBe(refused));
    expect(locked()).toBe(true);
  });

  it("forgets that it was locked once somebody opened it", async () => {
    noteLocked();
    server.answer(done);
    const { locked, now } = tablet();
    await pass(0);
    await act(() => now().opened());
    expect([locked(), wasLocked()]).toEqual([false, false]);
  });
});
