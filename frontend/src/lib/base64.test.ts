import fc from "fast-check";
import { expect, test } from "vitest";
import { base64 } from "./base64";

test("is what the standard says, for bytes of any length", () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 300 }), (bytes) => {
      expect(base64(bytes)).toBe(Buffer.from(bytes).toString("base64"));
    }),
  );
  const many = new Uint8Array(100_000).map((_, index) => index % 251);
  expect(base64(many)).toBe(Buffer.from(many).toString("base64"));
});
