// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { File as Bytes } from "node:buffer";
import { act, renderHook } from "@testing-library/react";
import type { PropsWithChildren } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { pass, standInServer, stopClocks } from "../../../testing/server";
import { useIncoming } from "./useIncoming";

const PART = 512 * 1024;
const row = (state: string) => [200, { id: "i1", state }] as const;
// Node's own file: jsdom's cannot be read.
const file = (bytes: number) => new Bytes([new Uint8Array(bytes)], "clients.csv") as unknown as File;

function incoming() {
  const client = new QueryClient();
  const wrapper = ({ children }: PropsWithChildren) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const { result, unmount } = renderHook(() => useIncoming(), { wrapper });
  const look = (bytes: number) =>
    act(() => result.current.look.mutate({ kind: "clients", file: file(bytes), lengthUnit: "cm", massUnit: "kg" }));
  return { look, unmount, now: () => result.current };
}

describe("a file on its way in", () => {
  let server: ReturnType<typeof standInServer>;
  const paths = () => server.asked.map(({ method, path }) => `${method} ${path.replace("/api/imports", "")}`);
  beforeEach(() => {
    server = standInServer();
    stopClocks();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it("goes part by part, in order, each with a key of its own, and is looked through until the end", async () => {
    const { look, now } = incoming();
    server.answer(row("coming"), row("coming"), row("read"), row("read"), row("checked"), row("checked"));
    look(PART + 1);
    await pass(0);
    await pass(0);
    await vi.waitFor(() => expect(now().look.data).toMatchObject({ state: "checked" }));
    expect(paths()).toEqual(["POST ", "PUT /i1/chunks", "PUT /i1/chunks", "POST /i1/step", "POST /i1/step", "GET /i1"]);
    expect(server.asked[0]?.body).toEqual({ kind: "clients", bytes: PART + 1, length_unit: "cm", mass_unit: "kg" });
    expect(server.asked.slice(1, 3).map(({ body }) => body)).toMatchObject([
      { number: 0 },
      { number: 1, base64: "AA==" },
    ]);
    const keys = server.asked.slice(0, 5).map(({ key }) => key);
    expect([new Set(keys).size, keys.includes(null)]).toEqual([5, false]);
  });

  it("is let go at any moment: the server forgets it, and what it answers later is not told", async () => {
    const { look, now } = incoming();
    let answered: (answer: ReturnType<typeof row>) => void = () => undefined;
    server.answer(row("coming"), new Promise((resolve) => (answered = resolve)), row("gone"));
    look(1);
    await pass(0);
    await vi.waitFor(() => expect(paths()).toEqual(["POST ", "PUT /i1/chunks"]));
    act(() => now().stop());
    expect(now().now).toBeNull();
    answered(row("read"));
    await pass(0);
    expect(paths()).toEqual(["POST ", "PUT /i1/chunks", "POST /i1/removal"]);
    expect([now().now, now().look.isIdle]).toEqual([null, true]);
  });

  it("goes no further once its page was left", async () => {
    const { look, unmount } = incoming();
    let answered: (answer: ReturnType<typeof row>) => void = () => undefined;
    server.answer(row("coming"), new Promise((resolve) => (answered = resolve)));
    look(PART * 3);
    await pass(0);
    await vi.waitFor(() => expect(paths()).toHaveLength(2));
    unmount();
    answered(row("coming"));
    await pass(0);
    expect(paths()).toHaveLength(2);
  });

  it("says what was refused, and is taken in once it was asked for", async () => {
    const { look, now } = incoming();
    server.answer([422, { code: "too_large", path: "bytes", params: {}, message: "Too large." }]);
    look(1);
    await pass(0);
    await vi.waitFor(() => expect(now().look.error).toMatchObject({ status: 422, message: "Too large." }));
    server.answer([200, { id: "i1", state: "taken" }]);
    act(() => now().take.mutate({ id: "i1", leaveRefused: true, untilAsked: false }));
    await pass(0);
    expect(server.asked[1]).toMatchObject({
      path: "/api/imports/i1/taking",
      body: { leave_refused: true, until_asked: false },
    });
  });
});
