// @vitest-environment jsdom
import { act, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { useSensors } from "./useSensors";

const PATIENCE_MS = 2000;

/** A browser that asks nobody, or answers so. */
function browser({ secure = true, answer }: { secure?: boolean; answer?: () => Promise<string> }) {
  vi.stubGlobal("isSecureContext", secure);
  vi.stubGlobal("DeviceMotionEvent", answer ? { requestPermission: answer } : {});
}
const turns = (alpha: number | null) =>
  window.dispatchEvent(Object.assign(new Event("devicemotion"), { rotationRate: { alpha } }));

describe("a phone's sensors", () => {
  const heard = vi.fn();
  const phone = () => renderHook(() => useSensors(heard)).result;
  const press = (result: ReturnType<typeof phone>) =>
    act(() => {
      result.current.ask();
      return Promise.resolve();
    });
  beforeEach(() => {
    vi.useFakeTimers();
    heard.mockClear();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it("are not asked for where the page came without TLS", () => {
    browser({ secure: false });
    expect(phone().current.sensors).toBe("insecure");
  });

  it("are on once they tell something, and what they tell is handed on", async () => {
    browser({ answer: () => Promise.resolve("granted") });
    const result = phone();
    act(() => void turns(3));
    expect(heard).not.toHaveBeenCalled();
    await press(result);
    expect(result.current.sensors).toBe("asking");
    act(() => void turns(3));
    expect(result.current.sensors).toBe("on");
    expect(heard).toHaveBeenCalledTimes(1);
  });

  it("are said to be refused, whichever way the browser says so", async () => {
    for (const answer of [() => Promise.resolve("denied"), () => Promise.reject(new Error("no"))]) {
      browser({ answer });
      const result = phone();
      await press(result);
      expect(result.current.sensors).toBe("refused");
    }
  });

  it("are said to be missing where nothing is heard, or nothing of how it turns", async () => {
    browser({});
    const result = phone();
    await press(result);
    act(() => void turns(null));
    act(() => void vi.advanceTimersByTime(PATIENCE_MS));
    expect(result.current.sensors).toBe("missing");
    expect(heard).not.toHaveBeenCalled();
  });
});
