import { describe, expect, it } from "vitest";
import { AT_ONCE, Outgoing, type Sample, sampleOf } from "./phoneSamples";

const sample = (at: number): Sample => [at, 0, 0, 9.8, 1, 2, 3];
const felt = { x: 0.12345, y: -1, z: 9.81 };
const turned = { alpha: 1, beta: 2.00049, gamma: 3 };

describe("a sample", () => {
  it("holds what was felt and turned, to a thousandth, by when it was read", () => {
    const event = { accelerationIncludingGravity: felt, rotationRate: turned, timeStamp: 2500 };
    expect(sampleOf(event, 1000)).toEqual([1.5, 0.123, -1, 9.81, 1, 2, 3]);
  });

  it("is none where a sensor is missing", () => {
    const event = { accelerationIncludingGravity: felt, rotationRate: null, timeStamp: 2500 };
    expect(sampleOf(event, 1000)).toBeNull();
    expect(sampleOf({ ...event, rotationRate: { ...turned, beta: null } }, 0)).toBeNull();
  });
});

describe("samples on their way", () => {
  it("go in numbered batches, the same again until it has arrived, the first as a new beginning", () => {
    const outgoing = new Outgoing();
    expect(outgoing.next()).toBeNull();
    outgoing.add(sample(0));
    outgoing.add(sample(0.02));
    const first = outgoing.next();
    expect(first).toEqual({ number: 1, samples: [sample(0), sample(0.02)], anew: true });
    outgoing.add(sample(0.04));
    expect(outgoing.next()).toBe(first);
    outgoing.arrived();
    expect(outgoing.next()).toEqual({ number: 2, samples: [sample(0.04)], anew: false });
    expect(outgoing.empty).toBe(false);
    outgoing.arrived();
    expect(outgoing.empty).toBe(true);
  });

  it("leave out what is told twice, and send no more at once than the server takes", () => {
    const outgoing = new Outgoing();
    for (let index = 0; index < AT_ONCE + 5; index++) outgoing.add(sample(index));
    outgoing.add(sample(3));
    expect(outgoing.next()?.samples).toHaveLength(AT_ONCE);
    outgoing.arrived();
    expect(outgoing.next()?.samples).toHaveLength(5);
  });
});
