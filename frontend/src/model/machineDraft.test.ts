import { describe, expect, test } from "vitest";
import type { Family } from "../api/types";
import { askedOf, bodyOf, emptyMachine, leadersFor, newAdjuster, problemsOf } from "./machineDraft";

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

describe("an adjuster that takes another's mark", () => {
  const pads = [
    { ...newAdjuster(kind("back_pad", "joint"), 0), marks: "1-4" },
    { ...newAdjuster(kind("recorded", null), 1), label: "far pad", marks: "A-D", sameAs: 0 },
    { ...newAdjuster(kind("roller", "far"), 2), marks: "1-3" },
  ];
  const draft = { ...emptyMachine, family: "curl", name: "Curl", absent: null, parts: { "": pads } };

  test("may take it of one that is set by itself, and not where another takes its own", () => {
    expect(pads.map((one) => leadersFor(one, pads).map(({ label }) => label))).toEqual([
      [],
      ["back_pad", "roller"],
      ["back_pad"],
    ]);
  });

  test("needs as many marks, and is sent with the name as it is by then", () => {
    expect(problemsOf(draft, plain)).toEqual({});
    const few = pads.map((one) => (one.key === 1 ? { ...one, marks: "A, B" } : one));
    expect(Object.keys(problemsOf({ ...draft, parts: { "": few } }, plain))).toEqual(["same 1"]);
    const renamed = pads.map((one) => (one.key === 0 ? { ...one, label: "near pad" } : one));
    const sent = bodyOf({ ...draft, parts: { "": renamed } }, plain).adjusters;
    expect(sent.map(({ same_as }) => same_as)).toEqual([null, "near pad", null]);
  });

  test("stands by itself once the other was taken out", () => {
    const alone = bodyOf({ ...draft, parts: { "": pads.slice(1) } }, plain).adjusters;
    expect(alone.map(({ same_as }) => same_as)).toEqual([null, null]);
  });
});
