import { describe, expect, it } from "vitest";
import { dayText, momentText } from "./dates";

const now = new Date("2026-11-26T12:00:00");

describe("moments", () => {
  it("are a time today, a day this year, and a day with its year before", () => {
    expect(momentText("2026-11-26T09:04:00", "en-GB", now)).toBe("09:04");
    expect(momentText("2026-11-24T09:04:00", "en-GB", now)).toBe("24 November");
    expect(dayText("2025-11-24T09:04:00", "en-GB", now)).toBe("24 November 2025");
  });

  it("are nothing where there is none", () =>
    expect([dayText(null, "en-GB", now), momentText(null, "en-GB", now)]).toEqual(["", ""]));
});
