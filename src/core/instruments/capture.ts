import type { Conditions } from '../record/reading.ts';
import type { ItemId } from '../stations/items.ts';
import type { CaseStage } from '../stations/gear/case-test.ts';
import type { Spot } from '../stations/run/runs.ts';
import { NeedleReader } from './needle.ts';
import type { Sample, SignalName } from './signals.ts';

/** What is recorded while it is armed; nothing is recorded otherwise. */
export type Arm =
  | { readonly kind: 'compression'; readonly cylinder: number; readonly of: number }
  | { readonly kind: 'case'; readonly stage: CaseStage; readonly least: number }
  | { readonly kind: 'run' };

/** A reading that an instrument makes, as the session records it. */
export interface Taken {
  readonly what: ItemId;
  readonly value: unknown;
  readonly cylinder?: number;
  readonly conditions?: Conditions;
  /** Division of the instrument as it showed itself, in the item's unit. */
  readonly resolution?: number;
  readonly sentence: string;
  /** When it was measured, ms. */
  readonly at: number;
}
export type CaptureEvent =
  | { readonly kind: 'taken'; readonly taken: Taken }
  /** Armed anew: the next cylinder. */
  | { readonly kind: 'armed'; readonly arm: Arm }
  /** The test is through: every cylinder read, the case let down. */
  | { readonly kind: 'ended'; readonly because: 'all' | 'let-down' }
  | { readonly kind: 'problem'; readonly problem: 'silent' | 'two-of-a-name'; readonly name: SignalName };

export interface Received extends Sample {
  readonly source: string;
  /** ms since 1970. */
  readonly at: number;
}

/** A source that sent within this is alive, ms. */
const ALIVE = 3000;
/** The gauge is let go below this before the next cylinder counts, Pa (M). */
const EMPTY = 10_000;

interface Stretch {
  readonly events: CaptureEvent[];
}

/** Compression: one cylinder after the other, volts and engine speed at their lowest meanwhile. */
class CompressionCapture {
  private reader = new NeedleReader();
  private released = true;
  private waiting = false;
  private readonly beside: { readonly name: 'batt' | 'tach'; readonly value: number; readonly at: number }[] = [];

  constructor(private arm: Extract<Arm, { kind: 'compression' }>) {}

  tick(at: number, out: Stretch): void {
    if (this.reader.tick(at / 1000).kind === 'silent') this.again(out);
  }

  private again(out: Stretch): void {
    out.events.push({ kind: 'problem', problem: 'silent', name: 'gauge' });
    this.reader = new NeedleReader();
    this.released = false;
  }

  push(s: Received, out: Stretch): void {
    if (s.name === 'batt' || s.name === 'tach') {
      this.beside.push({ name: s.name, value: s.value, at: s.at });
      while (this.beside.length > 2000) this.beside.shift();
    }
    if (s.name !== 'gauge') return;
    // What stands on the gauge from before is no pull.
    if (!this.released && s.value > EMPTY) return;
    this.released = true;
    if (this.waiting) return;
    const state = this.reader.push({ seconds: s.at / 1000, pressure: s.value });
    if (state.kind === 'silent') return this.again(out);
    if (state.kind !== 'done') return;
    const { cylinder, of } = this.arm;
    const one = state.needle.length === 1;
    out.events.push({
      kind: 'taken',
      taken: {
        what: one ? 'compression.pressure' : 'compression.pulls',
        value: one ? state.needle[0]! : [...state.needle],
        cylinder,
        conditions: this.lowest(state.from * 1000, state.to * 1000),
        sentence: s.sentence,
        at: s.at
      }
    });
    this.reader = new NeedleReader();
    this.released = false;
    if (cylinder >= of) {
      this.waiting = true;
      out.events.push({ kind: 'ended', because: 'all' });
    } else {
      this.arm = { ...this.arm, cylinder: cylinder + 1 };
      out.events.push({ kind: 'armed', arm: this.arm });
    }
  }

  /** Lowest volts and speed while it was cranked; the first and last third of a second are starting and stopping. */
  private lowest(from: number, to: number): Conditions {
    const within = (name: 'batt' | 'tach'): number[] =>
      this.beside.filter((b) => b.name === name && b.at >= from - 100 && b.at <= to + 100).map((b) => b.value);
    const [volts, rpm] = [within('batt'), within('tach').filter((v) => v > 20)];
    return {
      ...(volts.length ? { volts: Math.min(...volts) } : {}),
      ...(rpm.length ? { rpm: Math.round(Math.min(...rpm)) } : {})
    };
  }
}

/**
 * The gauge stands still for this long before the stage begins, ms; how far it wanders meanwhile is its division (M). A reading
 * is the mean of as long.
 */
const STEADY = 3000;
/** Division of a digital gauge that does not wander at all, Pa (M). */
const LEAST_STEP = 100;
/** A reading at least this often, and after each change of two divisions at most this often, ms (M). */
const EVERY = { early: 30_000, late: 60_000, change: 5000 };
const EARLY = 300_000;
/** A case's temperature is the mean of this long, to a division that a thermometer can tell, ms and K (M). */
const WARMTH = 60_000;
const WARMTH_STEP = 0.2;
/** Let down: over half of it gone within this, ms. */
const LET_DOWN = 3000;

const average = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** A stage of a case test: its whole series, from where the gauge stands still until it is let down. */
class CaseCapture {
  private readonly recent: { readonly at: number; readonly value: number }[] = [];
  private readonly warmth: { readonly at: number; readonly value: number }[] = [];
  private begun: number | undefined;
  private step = LEAST_STEP;
  private last: { readonly at: number; readonly value: number } | undefined;
  private over = false;

  constructor(private readonly arm: Extract<Arm, { kind: 'case' }>) {}

  tick(): void {}

  push(s: Received, out: Stretch): void {
    if (s.name === 'casetemp') {
      this.warmth.push({ at: s.at, value: s.value });
      while (s.at - this.warmth[0]!.at > WARMTH) this.warmth.shift();
    }
    if (s.name !== 'case' || this.over) return;
    const value = this.arm.stage === 'vacuum' ? -s.value : s.value;
    this.recent.push({ at: s.at, value });
    while (this.recent.length > 1 && s.at - this.recent[0]!.at > STEADY) this.recent.shift();
    const values = this.recent.map((r) => r.value);
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const mean = average(values);
    // What it wanders beyond what it falls meanwhile.
    const middle = Math.floor(values.length / 2);
    const falls = middle ? 2 * Math.abs(average(values.slice(-middle)) - average(values.slice(0, middle))) : 0;
    if (this.begun !== undefined) this.step = Math.max(this.step, LEAST_STEP + Math.max(0, high - low - falls));
    if (this.begun === undefined) {
      const long = s.at - this.recent[0]!.at >= 0.9 * STEADY;
      if (!long || value < this.arm.least || high - low > Math.max(3 * LEAST_STEP, 0.01 * value)) return;
      this.begun = s.at;
      this.step = LEAST_STEP + high - low;
      return this.take(s, mean, out);
    }
    if (value < 0.5 * high && s.at - this.recent[0]!.at <= LET_DOWN + 500) {
      this.over = true;
      return void out.events.push({ kind: 'ended', because: 'let-down' });
    }
    const since = s.at - this.last!.at;
    const every = s.at - this.begun < EARLY ? EVERY.early : EVERY.late;
    if (since >= every || (since >= EVERY.change && Math.abs(mean - this.last!.value) >= 2 * this.step))
      this.take(s, mean, out);
  }

  private temperature(): number | undefined {
    const n = this.warmth.length;
    if (!n) return undefined;
    const mean = average(this.warmth.map((w) => w.value));
    return Number((Math.round(mean / WARMTH_STEP) * WARMTH_STEP).toFixed(2));
  }

  private take(s: Received, value: number, out: Stretch): void {
    this.last = { at: s.at, value };
    const temperature = this.temperature();
    out.events.push({
      kind: 'taken',
      taken: {
        what: 'gear.casePressure',
        value: Math.max(0, value),
        conditions: {
          stage: this.arm.stage,
          ...(temperature === undefined ? {} : { temperature })
        },
        resolution: this.step,
        sentence: s.sentence,
        at: s.at
      }
    });
  }
}

const spotOf: Partial<Record<SignalName, Spot>> = { head: 'head', headp: 'head-port', heads: 'head-starboard' };
/** Temperatures once a second; speed and volts when they change, else now and then, ms. */
const RUN = { temperature: 1000, other: 10_000, change: 1000 };

/** The first run: temperatures once a second, engine speed and volts beside them. */
class RunCapture {
  private readonly last = new Map<SignalName, { readonly at: number; readonly value: number }>();

  tick(): void {}

  push(s: Received, out: Stretch): void {
    const spot = spotOf[s.name];
    const what: ItemId | undefined = spot
      ? 'run.temperature'
      : s.name === 'tach'
        ? 'run.rpm'
        : s.name === 'batt'
          ? 'run.volts'
          : undefined;
    if (!what) return;
    const last = this.last.get(s.name);
    const since = last ? s.at - last.at : Infinity;
    const changed = last && Math.abs(s.value - last.value) > (what === 'run.rpm' ? 75 : 0.3);
    if (spot ? since < RUN.temperature : since < (changed ? RUN.change : RUN.other)) return;
    this.last.set(s.name, { at: s.at, value: s.value });
    out.events.push({
      kind: 'taken',
      taken: { what, value: s.value, ...(spot ? { conditions: { spot } } : {}), sentence: s.sentence, at: s.at }
    });
  }
}

/**
 * What armed instruments record, as events. Pure but for its own state: the time comes with each sample. Where two sources
 * call themselves by one name nothing of that name is used until one is preferred.
 */
export class Capture {
  private readonly inner: CompressionCapture | CaseCapture | RunCapture;
  private readonly heard = new Map<SignalName, Map<string, number>>();
  private readonly told = new Set<SignalName>();

  constructor(
    arm: Arm,
    private readonly preferred: ReadonlyMap<SignalName, string> = new Map()
  ) {
    this.inner =
      arm.kind === 'compression'
        ? new CompressionCapture(arm)
        : arm.kind === 'case'
          ? new CaseCapture(arm)
          : new RunCapture();
  }

  push(s: Received): readonly CaptureEvent[] {
    const out: Stretch = { events: [] };
    const chosen = this.preferred.get(s.name);
    if (chosen !== undefined && chosen !== s.source) return out.events;
    const sources = this.heard.get(s.name) ?? new Map<string, number>();
    this.heard.set(s.name, sources.set(s.source, s.at));
    for (const [source, at] of sources) if (s.at - at > ALIVE) sources.delete(source);
    if (chosen === undefined && sources.size > 1) {
      if (!this.told.has(s.name)) out.events.push({ kind: 'problem', problem: 'two-of-a-name', name: s.name });
      this.told.add(s.name);
      return out.events;
    }
    this.inner.push(s, out);
    return out.events;
  }

  /** The clock without a sentence: says when an instrument has gone silent in the middle. */
  tick(at: number): readonly CaptureEvent[] {
    const out: Stretch = { events: [] };
    this.inner.tick(at, out);
    return out.events;
  }
}
