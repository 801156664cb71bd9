// @vitest-environment jsdom
import { describe, expect, it } from "vitest";
import { Refused, unwrap } from "./client";

const answered = (status: number, headers: Record<string, string>) =>
  unwrap(
    Promise.resolve({
      error: { code: "internal", path: "", params: {}, message: "Something went wrong." },
      response: new Response(null, { status, headers }),
    }),
  ).then(
    () => "answered",
    (thrown: unknown) => (thrown instanceof Refused ? thrown.message : "another"),
  );

describe("an error of ours", () => {
  it("is told with its number in the log; what somebody typed wrongly is not", async () => {
    const header = { "x-request-id": "0badcafe-1111-4222-8333-444455556666" };
    expect(await answered(500, header)).toBe("Something went wrong. (Number 0badcafe)");
    expect(await answered(422, header)).toBe("Something went wrong.");
    expect(await answered(500, {})).toBe("Something went wrong.");
  });
});
