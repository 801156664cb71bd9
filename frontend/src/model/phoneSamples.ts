// What a phone's sensors say, as it is sent: seven numbers a sample, in numbered batches, one after the other until each has
// arrived.
export type Sample = [number, number, number, number, number, number, number];
export type Batch = { number: number; samples: Sample[]; anew: boolean };

/** As many as may wait for a network: four minutes of them. */
const MOST = 4 * 60 * 60;
/** As many go at once, however long the network was away. */
export const AT_ONCE = 300;
const DECIMALS = 1000;
const MS = 1000;

const tidy = (number: number) => Math.round(number * DECIMALS) / DECIMALS;

type Motion = Pick<DeviceMotionEvent, "accelerationIncludingGravity" | "rotationRate" | "timeStamp">;

/** Of an event, counted from when the reading began (ms); null where the phone lacks one of the two sensors. */
export function sampleOf(
  { accelerationIncludingGravity: felt, rotationRate: turned, timeStamp }: Motion,
  begun: number,
) {
  if (felt?.x == null || felt.y == null || felt.z == null) return null;
  if (turned?.alpha == null || turned.beta == null || turned.gamma == null) return null;
  const sample: Sample = [
    tidy((timeStamp - begun) / MS),
    tidy(felt.x),
    tidy(felt.y),
    tidy(felt.z),
    tidy(turned.alpha),
    tidy(turned.beta),
    tidy(turned.gamma),
  ];
  return sample;
}

/** Samples on their way: what is read is added, and taken off once it has arrived. */
export class Outgoing {
  private waiting: Sample[] = [];
  private sending: Batch | null = null;
  private sent = 0;
  private anew = true;

  add(sample: Sample) {
    // One that is no later than the last is none: some browsers say things twice.
    const last = this.waiting.at(-1);
    if (last && sample[0] <= last[0]) return;
    if (this.waiting.length < MOST) this.waiting.push(sample);
  }

  /** The batch that is to be sent now: the same again until it has arrived; null where nothing waits. */
  next(): Batch | null {
    if (!this.sending && this.waiting.length > 0) {
      this.sending = { number: this.sent + 1, samples: this.waiting.splice(0, AT_ONCE), anew: this.anew };
    }
    return this.sending;
  }

  arrived() {
    if (!this.sending) return;
    this.sent = this.sending.number;
    this.anew = false;
    this.sending = null;
  }

  /** Whether everything has arrived. */
  get empty() {
    return this.sending === null && this.waiting.length === 0;
  }
}
