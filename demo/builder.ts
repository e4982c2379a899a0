import type { OptionId } from '../src/core/record/options.ts';
import type { CaseKind } from '../src/core/engine/case-kind.ts';
import type { History, Identity, Profile } from '../src/core/engine/profile.ts';
import type { Card } from '../src/core/engine/card.ts';
import type { Engine } from '../src/core/engine/engine.ts';
import type { Manual } from '../src/core/engine/limits.ts';
import type { ItemId, ReadingValue, StationId } from '../src/core/stations/items.ts';
import { placeIds, places, type PlaceId } from '../src/core/stations/look/places.ts';
import type { JobEdit, PartLine } from '../src/core/record/work.ts';
import { addDays, format } from 'date-fns';
import type { Entry } from '../src/core/record/entries.ts';
import type { Reading } from '../src/core/record/reading.ts';

/** One made-up engine with its story; times are minutes from the start of its assessment. */
export interface DemoEngine {
  readonly key: string;
  readonly kind: CaseKind;
  readonly startedHoursAgo: number;
  readonly identity: Identity;
  readonly profile: Profile;
  readonly history: (start: Date) => History;
  readonly manual?: Manual;
  readonly card?: Card;
  /** What its owner wrote down in service, by the day it was begun on. */
  readonly outings?: (start: Date) => Engine['outings'];
  readonly log: (l: Log) => void;
  readonly signedBy?: string;
  /** An assessment of the season before. */
  /** Assessments of earlier years, oldest first. */
  readonly earlier?: readonly { readonly kind: CaseKind; readonly daysAgo: number; readonly log: (l: Log) => void }[];
}

/** A promise: so many days after an assessment began, in the afternoon. */
export const daysAfter = (start: Date, days: number): string => addDays(start, days).toISOString();

type More = Partial<Pick<Reading, 'cylinder' | 'conditions' | 'instrument' | 'round' | 'typed'>>;

/** Writes the log of an assessment as it would be tapped in, one entry a minute unless told to wait. */
export class Log {
  readonly entries: Entry[] = [];
  private n = 0;

  constructor(
    private readonly key: string,
    private at: number,
    private readonly by = 'Ines'
  ) {}

  private stamp(): { id: string; at: string; by: string } {
    this.at += 60_000;
    this.n += 1;
    return { id: `${this.key}-${this.n}`, at: new Date(this.at).toISOString(), by: this.by };
  }

  read<I extends ItemId>(what: I, value: ReadingValue<I>, more: More = {}): this {
    this.entries.push({ type: 'reading', body: { ...this.stamp(), what, value, ...more } });
    return this;
  }

  wait(hours: number): this {
    this.at += hours * 3.6e6;
    return this;
  }

  done(step: string, note?: string): this {
    this.entries.push({ type: 'step', body: { ...this.stamp(), step, state: 'done', ...(note ? { note } : {}) } });
    return this;
  }

  /** Something that runs by itself from here on. */
  running(label: string, minutes: number, station: StationId): this {
    this.entries.push({ type: 'wait', body: { ...this.stamp(), label, minutes, station } });
    return this;
  }

  /**
   * A run watched with a thermometer: one temperature every half minute, as it was read to the degree, the stream where
   * it was looked at, stop at the end.
   */
  ran(
    minutes: number,
    celsiusAt: (seconds: number) => number,
    more: {
      spot?: NonNullable<Reading['conditions']>['spot'];
      stream?: readonly (readonly [number, 'strong' | 'weak' | 'none'])[];
      rpm?: number;
    } = {}
  ): this {
    const zero = this.at + 60_000;
    const at = (seconds: number): void => void (this.at = zero + seconds * 1000 - 60_000);
    const spot = more.spot ?? 'head';
    at(0);
    this.read('run.event', 'start');
    const looks = [...(more.stream ?? [])];
    for (let s = 15; s <= minutes * 60; s += 30) {
      while (looks.length && looks[0]![0] <= s) {
        at(s - 5);
        this.read('run.stream', looks.shift()![1]);
      }
      at(s);
      // Hands and a thermometer scatter by about a degree.
      const wobble = [0.4, -0.7, 0.2, 0.9, -0.3, -0.6, 0.5][Math.round(s / 30) % 7]!;
      const read = Math.round(celsiusAt(s) + wobble);
      this.read('run.temperature', celsius(read), { typed: `${read} °C`, conditions: { spot } });
      if (more.rpm && s % 120 === 15) this.read('run.rpm', more.rpm);
    }
    at(minutes * 60);
    return this.read('run.event', 'stop');
  }

  decided(option: OptionId, reason: string, authority?: string): this {
    this.entries.push({
      type: 'decision',
      body: { ...this.stamp(), option, reason, ...(authority ? { authority } : {}) }
    });
    return this;
  }

  /** A line of the parts order; `due` in days from here on. */
  part(
    step: string,
    name: string,
    more: Pick<PartLine, 'state'> & Partial<Pick<PartLine, 'offers' | 'chosen' | 'number'>> & { readonly due?: number }
  ): this {
    const { due, ...rest } = more;
    const body = { ...this.stamp(), key: `${step}/${name}`, step, name, ...rest };
    const day = due === undefined ? {} : { due: format(addDays(new Date(this.at), due), 'yyyy-MM-dd') };
    this.entries.push({ type: 'part', body: { ...body, ...day } });
    return this;
  }

  /** Parts off, in order: name, size, length in mm, place; a gasket or pin goes back once only. `heads`: what turns each size. */
  off(
    step: string,
    list: readonly (readonly [name: string, size: string, mm: number, place: string, once?: true])[],
    heads: Readonly<Record<string, readonly [head: string, tool?: string]>> = {}
  ): this {
    for (const [name, size, mm, place, once] of list)
      this.entries.push({
        type: 'tray',
        body: {
          ...this.stamp(),
          name,
          step,
          ...(size ? { size } : {}),
          ...(heads[size] ? { head: heads[size][0], ...(heads[size][1] ? { tool: heads[size][1] } : {}) } : {}),
          ...(mm ? { length: mm / 1000 } : {}),
          ...(place ? { place } : {}),
          ...(once ? { oneTime: true as const } : {})
        }
      });
    return this;
  }

  /** So many parts back on, last off first. */
  back(count = Infinity): this {
    const parts = this.entries.flatMap((e) => (e.type === 'tray' ? [e.body] : [])).reverse();
    for (const p of parts.slice(0, count))
      this.entries.push({
        type: 'trayMark',
        body: { ...this.stamp(), part: p.id, state: p.oneTime ? 'renewed' : 'refitted' }
      });
    return this;
  }

  /** A job of its own, or a change of one that is there. */
  job(
    step: string,
    edit: Omit<JobEdit, 'id' | 'at' | 'by' | 'step' | 'temporary'> & { temporary?: [days: number, why: string] }
  ): this {
    const { temporary, ...rest } = edit;
    const until = temporary && {
      temporary: { until: format(addDays(new Date(this.at), temporary[0]), 'yyyy-MM-dd'), why: temporary[1] }
    };
    this.entries.push({ type: 'job', body: { ...this.stamp(), step, ...rest, ...until } });
    return this;
  }

  /** Ticks of a short job. */
  flow(id: string, ticked: readonly string[]): this {
    const mark = (step: string, state: 'open' | 'done'): void =>
      void this.entries.push({ type: 'step', body: { ...this.stamp(), step, state } });
    mark(`flow.${id}`, 'open');
    for (const t of ticked) mark(`flow.${id}.${t}`, 'done');
    return this;
  }

  /** The last look round before it goes back. */
  handedOver(counters: 'reset' | 'not-fitted' = 'not-fitted'): this {
    return this.read('run.tight', 'yes').read('run.counters', counters);
  }

  reason(gate: string, reason: string): this {
    this.entries.push({ type: 'reason', body: { ...this.stamp(), gate, reason } });
    return this;
  }

  /** Lanyard out, battery off, propeller clear, stand good, outdoors. */
  madeSafe(battery: 'off' | 'not-fitted' = 'not-fitted'): this {
    return this.read('safe.lanyard', 'out')
      .read('safe.battery', battery)
      .read('safe.propeller', 'clear')
      .read('safe.secured', 'yes')
      .read('safe.place', 'outdoors');
  }

  /** The walk around it: every place as it should be, but those named. */
  walked(but: Partial<Record<PlaceId, string>> = {}, notes: Partial<Record<PlaceId, string>> = {}): this {
    for (const place of placeIds) {
      this.read(`look.${place}`, (but[place] ?? Object.keys(places[place].sights)[0]) as 'unknown');
      if (notes[place]) this.read(`look.${place}Note`, notes[place]);
    }
    return this;
  }

  /** Plugs out in order, one reading each, all with one gap. */
  plugsRead(list: readonly ReadingValue<'plugs.read'>[], gapMm: number): this {
    this.read('plugs.order', 'yes');
    list.forEach((value, k) =>
      this.read('plugs.read', value, { cylinder: k + 1 })
        .read('plugs.hole', 'clean', { cylinder: k + 1 })
        .read('plugs.gap', gapMm / 1000, { cylinder: k + 1, typed: `${gapMm} mm` })
    );
    return this;
  }

  /** Shift by hand: neutral free, both gears follow. */
  shifts(reverseLock: 'rises' | 'not-fitted' = 'not-fitted'): this {
    return this.read('turn.neutral', 'spins')
      .read('turn.forward', 'follows')
      .read('turn.reverse', 'follows')
      .read('turn.reverseLock', reverseLock);
  }

  /** Compression pull by pull: the needle after each pull, psi as read. */
  pulls(
    list: readonly (readonly [cylinder: number, needle: readonly number[], volts?: number])[],
    gauge: NonNullable<Reading['instrument']> = shopGauge
  ): this {
    for (const [cylinder, needle, volts] of list)
      this.read(
        'compression.pulls',
        needle.map((p) => p * PSI),
        {
          cylinder,
          typed: `${needle.join(' ')} psi`,
          instrument: gauge,
          conditions: { throttle: 'open', bores: 'dry', engine: 'cold', ...(volts === undefined ? {} : { volts }) }
        }
      );
    return this;
  }

  /** Compression of several cylinders in one order, psi as read. */
  compression(
    psi: readonly (readonly [cylinder: number, psi: number, volts?: number])[],
    gauge: NonNullable<Reading['instrument']> = shopGauge,
    round = 1
  ): this {
    for (const [cylinder, value, volts] of psi)
      this.read('compression.pressure', value * PSI, {
        cylinder,
        round,
        typed: `${value} psi`,
        instrument: gauge,
        conditions: { throttle: 'open', bores: 'dry', engine: 'cold', ...(volts === undefined ? {} : { volts }) }
      });
    return this;
  }

  sparks(result: ReadingValue<'spark.result'>, cylinders: readonly number[], round = 1): this {
    for (const cylinder of cylinders)
      this.read('spark.result', result, { cylinder, round, conditions: { path: 'tester', light: 'shade' } });
    return this;
  }
}

export const PSI = 6894.757;
export const mL = (n: number): number => n * 1e-6;
export const celsius = (n: number): number => n + 273.15;

export const shopGauge = {
  name: 'Shop gauge, screw-in',
  range: 300 * PSI,
  accuracy: 0.02,
  resolution: PSI,
  adapterVolume: 0,
  valve: 'plug end'
} as const;
export const hoseGauge = {
  name: 'Old hose gauge, valve at the dial',
  range: 200 * PSI,
  accuracy: 0.03,
  resolution: 2 * PSI,
  adapterVolume: mL(10),
  valve: 'gauge end'
} as const;

export const leakTester = {
  name: 'Leak-down tester, 0.040 in',
  restrictor: 1.016e-3,
  supply: 80 * PSI
} as const;

/** The entries of an engine whose assessment starts at this moment. */
export function logOf(engine: DemoEngine, start: Date): Entry[] {
  const log = new Log(engine.key, start.getTime());
  engine.log(log);
  return log.entries;
}
