import { randomLcg, randomNormal } from 'd3-random';
import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { runsOf } from '../stations/run/runs.ts';
import { stageTest } from '../stations/gear/case-test.ts';
import { warmingOf } from '../stations/run/warming.ts';
import { PSI } from '../units/factors.ts';
import { Capture, type Arm, type CaptureEvent, type Taken } from './capture.ts';
import { NeedleReader, type NeedleState } from './needle.ts';
import { sentenceOf, type SignalName } from './signals.ts';
import { badOf, SourceReader } from './lines.ts';
import { StandIns } from './stand-ins/bench.ts';
import { standInCases, type StandInCase, type StandInCaseName } from './stand-ins/cases.ts';

const START = Date.parse('2026-05-02T08:05:00Z');

/** A case played from its first second to its last through sentences, as a device would send them. */
function play(name: StandInCaseName, arm: Arm, change: { readonly until?: number; readonly drop?: number } = {}) {
  const c: StandInCase = standInCases[name];
  const stand = new StandIns(c.engine, randomNormal.source(randomLcg(0.3))(0, 1));
  const [reader, capture] = [new SourceReader(), new Capture(arm)];
  const events: CaptureEvent[] = [];
  for (let k = 0; k * 0.05 < (change.until ?? c.seconds); k++) {
    const at = START + k * 50;
    for (const [n, line] of stand.step(c.hands(k * 0.05), 0.05).entries()) {
      if (change.drop && (k + n) % change.drop === 0) continue;
      for (const s of reader.read(line)) events.push(...capture.push({ ...s, source: 'stand-in', at }));
    }
    events.push(...capture.tick(at));
  }
  return events;
}
const taken = (events: readonly CaptureEvent[]): Taken[] =>
  events.flatMap((e) => (e.kind === 'taken' ? [e.taken] : []));
/** As the session records them. */
function recorded(b: Bench, events: readonly CaptureEvent[]): Bench {
  for (const t of taken(events))
    b.read(t.what, t.value as never, {
      at: new Date(t.at).toISOString(),
      ...(t.cylinder ? { cylinder: t.cylinder } : {}),
      conditions: { ...(t.cylinder ? ({ throttle: 'open', bores: 'dry' } as const) : {}), ...t.conditions },
      ...(t.resolution ? { instrument: { name: 'sends', resolution: t.resolution } } : {})
    });
  return b;
}

describe('a needle becomes pulls and a reading', () => {
  const read = (list: readonly (readonly [number, number])[]): NeedleState => {
    const reader = new NeedleReader();
    for (const [seconds, pressure] of list) reader.push({ seconds, pressure });
    return reader.state;
  };
  const steps = (values: readonly number[], every = 0.3): [number, number][] =>
    values.flatMap((v, k) => Array.from({ length: 6 }, (_, i): [number, number] => [k * every + i * 0.05, v]));
  const hold = (from: number, value: number, seconds: number): [number, number][] =>
    Array.from({ length: seconds * 20 }, (_, k) => [from + k * 0.05, value]);

  it('each jump is a pull, the value it settles at the reading', () => {
    const state = read([...hold(-1, 0, 1), ...steps([4e5, 6e5, 7e5]), ...hold(0.9, 7e5, 3)]);
    expect(state).toMatchObject({ kind: 'done', needle: [4e5, 6e5, 7e5] });
  });
  it('let go after it had stood: what stood counts', () => {
    const state = read([...hold(-1, 0, 1), ...steps([4e5, 7e5]), ...hold(0.6, 7e5, 1), ...hold(1.6, 1e4, 1)]);
    expect(state).toMatchObject({ kind: 'done', needle: [4e5, 7e5] });
  });
  it('a needle that falls back by itself is shown falling', () => {
    const slow: [number, number][] = Array.from({ length: 60 }, (_, k) => [0.6 + k * 0.05, 7e5 - 4000 * k]);
    const state = read([...hold(-1, 0, 1), ...steps([4e5, 7e5]), ...slow]);
    if (state.kind !== 'done') throw new Error(state.kind);
    expect(state.needle.at(-1)).toBeLessThan(6.8e5);
    const none = read([...hold(-1, 0, 1), ...steps([4e5]), ...hold(0.3, 5e3, 1)]);
    expect(none).toMatchObject({ kind: 'done', needle: [5e3] });
  });
  it('silent in the middle: no reading', () => {
    const reader = new NeedleReader();
    for (const [seconds, pressure] of [...hold(-1, 0, 1), ...steps([4e5, 6e5])]) reader.push({ seconds, pressure });
    expect(reader.tick(1.5).kind).toBe('pulling');
    expect(reader.tick(3).kind).toBe('silent');
    expect(reader.push({ seconds: 3.1, pressure: 7e5 }).kind).toBe('silent');
  });
  it('waits at rest, whatever the noise', () => {
    expect(read(Array.from({ length: 400 }, (_, k) => [k * 0.05, (k % 7) * 1000])).kind).toBe('waiting');
  });
});

describe('compression without typing a figure', () => {
  const six: Arm = { kind: 'compression', cylinder: 1, of: 6 };
  it('six cylinders, each armed after the one before, with lowest volts and speed', () => {
    const events = play('compression-six', six);
    const list = taken(events);
    expect(list.map((t) => [t.what, t.cylinder])).toEqual([1, 2, 3, 4, 5, 6].map((c) => ['compression.pulls', c]));
    expect(events.at(-1)).toEqual({ kind: 'ended', because: 'all' });
    const last = list.map((t) => (t.value as number[]).at(-1)!);
    expect(Math.max(...last) - Math.min(...last)).toBeLessThan(0.02 * last[0]!);
    const volts = list.map((t) => t.conditions!.volts!);
    expect(volts).toEqual([...volts].sort((a, b) => b - a));
    expect(list.every((t) => t.conditions!.rpm! > 190 && t.conditions!.rpm! < 260)).toBe(true);
    expect(list[0]!.sentence).toMatch(/^\$YXXDR,P,.*gauge\*[0-9A-F]{2}$/);
  });
  it('the leaking ones are the low ones, and the check says so', () => {
    const b = recorded(new Bench({ cylinders: 6, strokes: 'two' }), play('compression-low', six));
    const low = b.judged().findings.flatMap((f) => (f.id.startsWith('compression.low.') ? [f.id.slice(-1)] : []));
    expect(low).toEqual(['3', '5']);
  });
  it('sentences lost on the way change the reading by little', () => {
    const [all, some] = [play('compression-six', six), play('compression-six', six, { drop: 7 })].map((e) =>
      taken(e).map((t) => (t.value as number[]).at(-1)!)
    );
    expect(some).toHaveLength(6);
    some!.forEach((p, k) => expect(Math.abs(p / all![k]! - 1)).toBeLessThan(0.02));
  });
  it('a gauge that goes silent in the pull records nothing, and says so', () => {
    const capture = new Capture(six);
    const send = (value: number, at: number) =>
      capture.push({ name: 'gauge', value, at: START + at, source: 'a', sentence: sentenceOf('gauge', value) });
    for (let t = 0; t < 1000; t += 50) send(t < 500 ? 0 : 4e5, t);
    expect(capture.tick(START + 4000)).toEqual([{ kind: 'problem', problem: 'silent', name: 'gauge' }]);
    // What still stands on it when it comes back is no pull.
    expect(send(6e5, 5000)).toEqual([]);
    expect(send(6e5, 9000)).toEqual([]);
  });
  it('two gauges of one name: nothing until one is preferred', () => {
    const send = (capture: Capture) =>
      ['a', 'b', 'a', 'b'].flatMap((source, k) =>
        capture.push({ name: 'gauge', value: 0, at: START + k * 50, source, sentence: '' })
      );
    expect(send(new Capture(six))).toEqual([{ kind: 'problem', problem: 'two-of-a-name', name: 'gauge' }]);
    expect(send(new Capture(six, new Map([['gauge', 'a']])))).toEqual([]);
  });
});

describe('a case test with its whole series', () => {
  const stage = (s: 'low' | 'high' | 'vacuum'): Arm => ({ kind: 'case', stage: s, least: 2 * PSI });
  const verdict = (name: StandInCaseName, s: 'low' | 'high' | 'vacuum') => {
    const b = recorded(new Bench(), play(name, stage(s)));
    return stageTest(b.judged().context, s)!;
  };
  it('a leak is found with its interval, at air and at vacuum', () => {
    // 6 % and 8 % of what stands there are lost a minute.
    for (const [name, s] of [
      ['case-leaks', 'high'],
      ['case-vacuum', 'vacuum']
    ] as const) {
      const t = verdict(name, s);
      expect([name, t.verdict]).toEqual([name, 'leaks']);
      expect(t.readings.length).toBeGreaterThan(8);
    }
  });
  it('a tight one holds, from few readings', () => {
    const t = verdict('case-holds', 'low');
    expect(['held', 'hold']).toContain(t.verdict);
    expect(t.readings.length).toBeLessThan(60);
    expect(t.minutes).toBeGreaterThan(13);
  });
  it('nothing before it stands still, and letting it down is no leak', () => {
    const events = play('case-holds', stage('low'));
    expect(taken(events)[0]!.at - START).toBeGreaterThan(7000);
    expect(events.at(-1)).toEqual({ kind: 'ended', because: 'let-down' });
    expect(taken(events).every((t) => (t.value as number) > 20_000)).toBe(true);
  });
});

describe('a first run logged by itself', () => {
  const running = (name: StandInCaseName, until: number) => {
    const b = new Bench();
    b.read('run.event', 'start', { at: new Date(START).toISOString() });
    recorded(b, play(name, { kind: 'run' }, { until }));
    const c = b.judged().context;
    return warmingOf(c, runsOf(c)[0]!)!;
  };
  it('is told to stop before the limit is passed', () => {
    const late = 150;
    const w = running('run-hot', late);
    const limit = 273.15 + 90;
    expect(['will-pass', 'over', 'odd']).toContain(w.state);
    const last = taken(play('run-hot', { kind: 'run' }, { until: late }))
      .filter((t) => t.what === 'run.temperature')
      .at(-1)!;
    expect(last.value as number).toBeLessThan(limit);
  });
  it('temperatures once a second, the others when they change', () => {
    const list = taken(play('run-settles', { kind: 'run' }, { until: 120 }));
    const of = (what: string): number => list.filter((t) => t.what === what).length;
    expect(of('run.temperature')).toBeGreaterThan(110);
    expect(of('run.temperature')).toBeLessThan(125);
    expect(of('run.rpm')).toBeLessThan(25);
  });
  it('both banks are places of their own', () => {
    const list = taken(play('run-bank', { kind: 'run' }, { until: 20 }));
    expect(new Set(list.map((t) => t.conditions?.spot).filter(Boolean))).toEqual(
      new Set(['head-port', 'head-starboard'])
    );
  });
});

it('every signal that a stand-in sends is known', () => {
  const names = new Set<SignalName>();
  for (const name of ['run-settles', 'run-bank'] as const) {
    const c: StandInCase = standInCases[name];
    let k = 0;
    const [stand, reader] = [new StandIns(c.engine, () => (k++ % 2 ? 3 : -3)), new SourceReader()];
    for (let n = 0; n < 100; n++)
      for (const line of stand.step(c.hands(n * 0.05), 0.05)) for (const s of reader.read(line)) names.add(s.name);
    expect(reader.counts.other).toBe(0);
    expect(badOf(reader.counts)).toBe(0);
  }
  expect(names).toContain('gauge');
});
