// @vitest-environment jsdom
import { act, renderHook } from "@testing-library/react";
import { useReducer } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { pass, standInServer, stopClocks } from "../../../../testing/server";
import type { FittingPage, FittingState } from "../../../api/types";
import { benchReducer, startBench } from "../../../model/bench";
import { unsavedSheet, useDraft } from "./useDraft";

const KEY = { fitting: "f1", staff: 7 };
const first = {
  ...{ id: "f1", state: "draft", version: 3, updated_at: "10:00" },
  ...{ marks: { seat: "2" }, aids: {}, load: "", signs: [], note: "", knee_off_mm: null, roller_seen: false },
  ...{ flow: { at: null, done: {}, skipped: {} }, work: {}, cue: "", reason: "", trail: [], creep: {} },
} as unknown as FittingState;
const machine = { adjusters: [{ label: "seat", marks: ["1", "2", "3"] }] };
const page = { ...first, machine } as unknown as FittingPage;
const kept = (version: number, fields: object = {}) => [200, { ...first, ...fields, version }] as const;
const error = (code: string, more: object = {}) => ({ code, path: "", params: {}, message: `${code}!`, ...more });

function draft() {
  const { result } = renderHook(() => {
    const [bench, dispatch] = useReducer(benchReducer, first, (fitting) => startBench(fitting));
    useDraft(KEY, bench, first, dispatch);
    return { bench, dispatch };
  });
  return {
    saving: () => result.current.bench.saving,
    dispatch: (event: Parameters<typeof result.current.dispatch>[0]) => act(() => result.current.dispatch(event)),
    note: (note: string) => act(() => result.current.dispatch({ type: "write", fields: { note } })),
    mark: (mark: string) => act(() => result.current.dispatch({ type: "set", order: ["seat"], label: "seat", mark })),
  };
}

describe("a draft", () => {
  let server: ReturnType<typeof standInServer>;
  beforeEach(() => {
    server = standInServer();
    stopClocks();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
    localStorage.clear();
    sessionStorage.clear();
  });

  it("goes to the server a quarter of a second after the last change, once, with its version", async () => {
    const { mark, saving } = draft();
    mark("1");
    await pass(200);
    mark("3");
    await pass(200);
    expect(server.asked).toEqual([]);
    server.answer(kept(4, { marks: { seat: "3" }, updated_at: "10:01" }));
    await pass(60);
    expect(server.asked).toMatchObject([
      { method: "PATCH", path: "/api/fittings/f1", body: { marks: { seat: "3" }, version: 3 } },
    ]);
    expect(server.asked[0]?.key).toMatch(/^[0-9a-f-]{36}$/);
    expect(saving()).toEqual({ kind: "kept", at: "10:01" });
    expect([localStorage.length, sessionStorage.length]).toEqual([0, 0]);
  });

  it("waits for an answer before it sends what was changed meanwhile", async () => {
    const { note } = draft();
    let answered: (answer: ReturnType<typeof kept>) => void = () => undefined;
    server.answer(new Promise((resolve) => (answered = resolve)), kept(5));
    note("a");
    await pass(300);
    note("ab");
    await pass(1000);
    expect(server.asked).toHaveLength(1);
    answered(kept(4));
    await pass(0);
    await pass(300);
    expect(server.asked.map(({ body }) => body)).toMatchObject([
      { note: "a", version: 3 },
      { note: "ab", version: 4 },
    ]);
  });

  it("lies in the browser while the server is away, what speaks of health in this tab alone, and is sent again", async () => {
    const { mark, note, saving } = draft();
    server.answer(null, kept(4));
    mark("3");
    note("sore");
    await pass(300);
    expect(saving()).toEqual({ kind: "waiting" });
    expect(Object.values(localStorage).join()).not.toContain("sore");
    expect(unsavedSheet(page, KEY.staff)).toMatchObject({ marks: { seat: "3" }, note: "sore" });
    expect([unsavedSheet(page, 8), unsavedSheet({ ...page, version: 4 }, KEY.staff)]).toEqual([null, null]);
    const redescribed = { ...page, machine: { adjusters: [{ label: "seat", marks: ["1", "2"] }] } } as FittingPage;
    expect(unsavedSheet(redescribed, KEY.staff)?.marks).toEqual({ seat: "2" });
    await pass(2400);
    expect(server.asked).toHaveLength(1);
    await pass(200);
    expect(server.asked).toHaveLength(2);
    expect(saving().kind).toBe("kept");
    expect(unsavedSheet(page, KEY.staff)).toBeNull();
  });

  it("does not send again what was refused, until something else was changed", async () => {
    const { note, saving } = draft();
    server.answer([422, error("too_long")], kept(4));
    note("x".repeat(9));
    await pass(300);
    expect(saving()).toEqual({ kind: "refused", message: "too_long!" });
    await pass(60_000);
    expect(server.asked).toHaveLength(1);
    note("x");
    await pass(300);
    expect(saving().kind).toBe("kept");
  });

  it("overwrites nobody: what a colleague wrote is shown, and nothing is sent until one of the two was chosen", async () => {
    const { note, saving, dispatch } = draft();
    const theirs = { ...first, note: "theirs", version: 9 };
    server.answer([409, error("stale", { current: theirs })], kept(10));
    note("mine");
    await pass(300);
    expect(saving()).toEqual({ kind: "conflict", theirs });
    note("mine still");
    await pass(60_000);
    expect(server.asked).toHaveLength(1);
    dispatch({ type: "keepMine", version: 9 });
    await pass(300);
    expect(server.asked[1]?.body).toMatchObject({ note: "mine still", version: 9 });
  });

  it("takes its own write, whose answer was lost, for kept", async () => {
    const { note, saving } = draft();
    server.answer([409, error("stale", { current: { ...first, note: "mine", version: 4 } })]);
    note("mine");
    await pass(300);
    expect(saving().kind).toBe("kept");
  });

  it("sends nothing where a change was taken back in time", async () => {
    const { note, saving } = draft();
    note("sore");
    note("");
    await pass(60_000);
    expect(server.asked).toEqual([]);
    expect([localStorage.length, sessionStorage.length]).toEqual([0, 0]);
    expect(saving().kind).toBe("kept");
  });
});
