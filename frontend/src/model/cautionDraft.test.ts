import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Caution, Cautions } from "../api/types";
import { degreesOf, draftOf, fieldsOf, spansShown } from "./cautionDraft";

const kind = (given: Partial<Cautions["kinds"][number]>): Cautions["kinds"][number] => ({
  name: "knee",
  title: "Knee",
  does: "",
  sided: false,
  joints: [],
  asked: true,
  motion: "knee_flexion",
  named: [],
  ...given,
});
const SIDED = kind({
  sided: true,
  joints: [{ name: "knee", title: "Knee" }],
  named: [{ family: "curl", title: "Curl" }],
});

describe("a caution as it is typed", () => {
  test("begins as the first kind, with a blank span of the motion that is asked for first", () => {
    const draft = draftOf(null, [SIDED]);
    expect(draft.name).toBe("knee");
    expect(spansShown(draft, SIDED, "hip_flexion")).toEqual([{ motion: "knee_flexion", from: "", to: "" }]);
    expect(spansShown(draft, kind({ motion: null }), "hip_flexion")[0]?.motion).toBe("hip_flexion");
    expect(spansShown({ ...draft, spans: [{ motion: "heel_drop", from: "1", to: "" }] }, SIDED, "x")).toHaveLength(1);
  });

  test("keeps only what its kind asks for", () => {
    const draft = {
      ...draftOf(null, [SIDED]),
      side: "left" as const,
      joint: "knee" as const,
      named: ["curl", "press"],
    };
    expect(fieldsOf(draft, SIDED)).toMatchObject({ side: "left", joint: "knee", named: ["curl"], load_to_kg: null });
    expect(fieldsOf(draft, kind({}))).toMatchObject({ side: "", joint: "", named: [] });
  });

  test("is nothing to keep where a number is none", () => {
    const draft = draftOf(null, [SIDED]);
    expect(fieldsOf({ ...draft, load: "ten" }, SIDED)).toBeNull();
    expect(fieldsOf({ ...draft, spans: [{ motion: "knee_flexion", from: "ten", to: "" }] }, SIDED)).toBeNull();
    expect(fieldsOf({ ...draft, load: " 40,5 " }, SIDED)).toMatchObject({ load_to_kg: 40.5 });
  });

  test("comes back with the degrees that stood there, an open end left open", () => {
    const end = fc.option(fc.integer({ min: 0, max: 170 }));
    fc.assert(
      fc.property(end, end, (from, to) => {
        const degrees = [{ motion: "knee_flexion", title: "", from, to }];
        const draft = draftOf({ name: "knee", degrees } as unknown as Caution, [SIDED]);
        const kept = degreesOf(draft.spans);
        expect(kept).toEqual(from === null && to === null ? {} : { knee_flexion: { from, to } });
      }),
    );
  });
});
