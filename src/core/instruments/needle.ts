/** One look at the needle: seconds on a clock of its own, Pa gauge. */
export interface NeedleSample {
  readonly seconds: number;
  readonly pressure: number;
}
export type NeedleState =
  | { readonly kind: 'waiting' }
  | { readonly kind: 'pulling'; readonly pulls: number; readonly pressure: number }
  /** The needle after each pull, the last as it settled; from the first rise to the last, s. */
  | { readonly kind: 'done'; readonly needle: readonly number[]; readonly from: number; readonly to: number }
  /** No sentence came for a while in the middle of it. */
  | { readonly kind: 'silent' };

/** Above this the needle has left its stop, Pa (M). */
const BEGUN = 20_000;
/** A rise between two looks that may begin a pull: at least this, Pa, and this share of what stands there (M). */
const RISE = 3000;
const RISE_SHARE = 0.006;
/** What still rises within this of its beginning belongs to the same pull, s (five hundred turns a minute). */
const ONE_PULL = 0.12;
/** The needle has settled when it has not risen for this long, s; let go after this long it was read before it fell, s (M). */
const SETTLED = 2;
const HELD = 0.7;
/** A needle that fell under this share of its top was let go (M). */
const LET_GO = 0.5;
/** Without a sample for this long the instrument is silent, s. */
const SILENT = 1.5;
/** Pulls kept; more add nothing to a reading. */
const MOST = 30;

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const n = sorted.length;
  return n % 2 ? sorted[(n - 1) / 2]! : (sorted[n / 2 - 1]! + sorted[n / 2]!) / 2;
};

/**
 * Reads one compression test off the needle of a gauge with a check valve: each jump is a pull, the value it settles at the
 * reading. A needle that falls back by itself ends the series with what it fell to, so that the check sees it fall.
 */
export class NeedleReader {
  private readonly recent: NeedleSample[] = [];
  private readonly values: number[] = [];
  private begun = false;
  private from = 0;
  private rise = 0;
  private top = 0;
  private grows = 0;
  private end: Extract<NeedleState, { kind: 'done' | 'silent' }> | undefined;

  get state(): NeedleState {
    if (this.end) return this.end;
    if (!this.begun) return { kind: 'waiting' };
    return { kind: 'pulling', pulls: this.values.length + 1, pressure: this.recent.at(-1)!.pressure };
  }

  push(sample: NeedleSample): NeedleState {
    if (this.end) return this.end;
    const last = this.recent.at(-1);
    if (last && sample.seconds < last.seconds) return this.state;
    this.tick(sample.seconds);
    if (this.end) return this.state;
    if (!this.begun && sample.pressure >= BEGUN) {
      this.begun = true;
      this.from = this.rise = sample.seconds;
    }
    if (this.begun && last) this.follow(last, sample);
    this.grows = last ? Math.max(0, sample.pressure - last.pressure) : 0;
    this.recent.push(sample);
    while (this.recent.length > 2 && sample.seconds - this.recent[0]!.seconds > SETTLED) this.recent.shift();
    this.top = Math.max(this.top, sample.pressure);
    return this.state;
  }

  /** The clock without a sample: a silent instrument ends the test without a reading. */
  tick(seconds: number): NeedleState {
    const last = this.recent.at(-1);
    if (!this.end && this.begun && last && seconds - last.seconds > SILENT) this.end = { kind: 'silent' };
    return this.state;
  }

  private follow(last: NeedleSample, sample: NeedleSample): void {
    const grows = sample.pressure - last.pressure;
    if (grows > Math.max(RISE, RISE_SHARE * last.pressure)) {
      // The tail of a pull rises less and less; what rises more than it did is the next one.
      if (grows <= this.grows || sample.seconds - this.rise <= ONE_PULL) return;
      if (last.pressure >= BEGUN && this.values.length < MOST - 1) this.values.push(last.pressure);
      this.rise = sample.seconds;
      return;
    }
    const held = last.seconds - this.rise;
    if (sample.pressure < LET_GO * this.top)
      // Let go after it had stood: what stood counts. Fallen at once: it does not hold what it is given.
      this.finish(held >= HELD ? this.stood(held) : sample.pressure);
    else if (sample.seconds - this.rise >= SETTLED)
      this.finish(median(this.recent.slice(-Math.ceil(this.recent.length / 2)).map((s) => s.pressure)));
  }

  /** What the needle stood at before it was let go. */
  private stood(held: number): number {
    const until = this.recent.at(-1)!.seconds;
    return median(this.recent.filter((s) => s.seconds > until - held + 0.3).map((s) => s.pressure));
  }

  private finish(settled: number): void {
    this.end = { kind: 'done', needle: [...this.values, Math.max(0, settled)], from: this.from, to: this.rise };
  }
}
