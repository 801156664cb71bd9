import { describe, expect, it } from "vitest";
import type { MachineLength } from "../api/types";
import { impossible, lengthWords, typedValue, usualSide } from "./machineLengths";

const length = (fields: Partial<MachineLength>): MachineLength => ({
  name: "seat_edge",
  title: "Seat's front edge to pivot",
  how: "",
  plus: "ahead of the pivot",
  minus: "behind the pivot",
  unit: "mm",
  value: -56,
  low: -500,
  high: 200,
  usual_low: -230,
  usual_high: 0,
  default: null,
  optional: false,
  taped: null,
  ...fields,
});

describe("a machine's lengths in words", () => {
  it("have no sign but a side", () => {
    expect(lengthWords(length({}), "cm")).toBe("5.6 cm behind the pivot");
    expect(lengthWords(length({ value: 20 }), "in")).toBe("0.8 in ahead of the pivot");
    expect(lengthWords(length({ unit: "deg", value: -8, minus: "above the seat's line" }), "cm")).toBe(
      "8° above the seat's line",
    );
    expect(lengthWords(length({ value: 318, plus: "" }), "cm")).toBe("31.8 cm");
    expect(lengthWords(length({ value: null }), "cm")).toBeNull();
  });

  it("lie on the side that is usual until somebody says otherwise", () => {
    expect([usualSide(length({})), usualSide(length({ usual_low: 30, usual_high: 110 }))]).toEqual([-1, 1]);
  });

  it("say what is possible in the unit that is typed", () => {
    expect(impossible(length({}), -100, "cm")).toBeNull();
    expect(impossible(length({}), 900, "cm")).toBe(
      "From −50 to 20 cm is possible here. Nothing was changed; read again.",
    );
    expect(impossible(length({ low: -1000, high: -150 }), -20, "cm")).toContain("From 15 to 100 cm");
  });

  it("are typed in centimetres, inches or degrees", () => {
    expect([typedValue("5.6", "cm"), typedValue("1", "in"), typedValue("98", "deg"), typedValue("long", "cm")]).toEqual(
      [56, 25.4, 98, null],
    );
  });
});
