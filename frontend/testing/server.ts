// A server that answers what it is told to, in turn, and remembers what it was asked. It stands in for fetch.
import { act } from "@testing-library/react";
import { vi } from "vitest";

export type Asked = { method: string; path: string; body: unknown; key: string | null };
/** Status and body of an answer; null: the server is not reached. */
type Answer = readonly [status: number, body: unknown] | null;

export function standInServer() {
  const asked: Asked[] = [];
  const answers: (Answer | Promise<Answer>)[] = [];
  vi.stubGlobal("fetch", async (input: Request | string, init?: RequestInit) => {
    const request = input instanceof Request ? input : new Request(new URL(input, window.location.origin), init);
    const text = await request.text();
    const { method, headers } = request;
    const body: unknown = text === "" ? null : JSON.parse(text);
    asked.push({ method, path: new URL(request.url).pathname, body, key: headers.get("Idempotency-Key") });
    if (answers.length === 0) throw new Error(`Nobody said what ${method} ${request.url} is answered.`);
    const answer = await answers.shift();
    if (!answer) throw new TypeError("not reached");
    return Response.json(answer[1], { status: answer[0] });
  });
  return { asked, answer: (...given: (Answer | Promise<Answer>)[]) => void answers.push(...given) };
}

/** Clocks that the test turns; answers come by themselves. */
export const stopClocks = () =>
  vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout", "setInterval", "clearInterval"] });

/** So many milliseconds go by, and whatever is answered in them is taken up. */
export const pass = (ms: number) =>
  act(async () => {
    await vi.advanceTimersByTimeAsync(ms);
    for (let turn = 0; turn < 20; turn += 1) await new Promise((resolve) => setImmediate(resolve));
    await vi.advanceTimersByTimeAsync(0);
  });
