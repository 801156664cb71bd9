import { describe, expect, test } from "vitest";
import type { Family } from "../api/types";
import { askedOf, emptyMachine, newAdjuster, problemsOf } from "./machineDraft";

const kind = (name: string, decides: string | null) => ({
  name,
  decides,
  title: name,
  label: name,
  forwards: "",
  backwards: "",
});
const kinds = [kind("back_pad", "joint"), kind("whole_seat", "joint"), kind("roller", "far"), kind("recorded", null)];
const names = ["back_pad", "whole_seat", "roller"];
const plain = {
  exercises: [{ name: "", title: "", kinds, asked: [] }],
  asked: names,
  shared_kinds: [],
} as unknown as Family;
const station = {
  exercises: ["extension", "curl"].map((name) => ({ name, title: name, kinds, asked: ["roller"] })),
  asked: ["back_pad", "whole_seat"],
  shared_kinds: [],
} as unknown as Family;

const titles = (asked: readonly { title: string }[]) => asked.map(({ title }) => title);

describe("what a machine of a kind usually has", () => {
  test("is asked once for each thing that is set, with every way it may be built", () => {
    expect(titles(askedOf(emptyMachine, plain, ""))).toEqual(["back_pad, or: whole_seat", "roller"]);
  });

  test("is asked no more once it was entered in one way, or is not there", () => {
    const entered = { ...emptyMachine, parts: { "": [newAdjuster(kind("whole_seat", "joint"), 0)] } };
    expect(titles(askedOf(entered, plain, ""))).toEqual(["roller"]);
    expect(askedOf({ ...entered, absent: [" far"] }, plain, "")).toEqual([]);
  });

  test("is asked of a station's shared part and of each exercise by itself", () => {
    expect(titles(askedOf(emptyMachine, station, ""))).toEqual(["back_pad, or: whole_seat"]);
    expect(titles(askedOf({ ...emptyMachine, absent: ["curl far"] }, station, "extension"))).toEqual(["roller"]);
    expect(askedOf({ ...emptyMachine, absent: ["curl far"] }, station, "curl")).toEqual([]);
  });

  test("keeps a machine from being entered while it is open, and not from being corrected", () => {
    const open = problemsOf({ ...emptyMachine, family: "curl", name: "Curl" }, plain);
    expect(Object.keys(open)).toEqual(["asked  joint", "asked  far"]);
    expect(problemsOf({ ...emptyMachine, family: "curl", name: "Curl", absent: null }, plain)).toEqual({});
  });
});
