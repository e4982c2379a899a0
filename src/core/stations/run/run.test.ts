import { describe, expect, it } from 'vitest';
import { contextOf, type Context } from '../../findings/context.ts';
import { refusal } from '../../holds/against.ts';
import { Bench } from '../../../../test/case.ts';
import { lastSeen } from '../cooling/seen.ts';
import { compareRuns } from './compare.ts';
import { duePrompts } from './prompts.ts';
import { mainTrack, runningRun, runsOf, type Spot } from './runs.ts';
import { bankDifference } from './banks.ts';
import { clock, warmingOf } from './warming.ts';
import { warmingSaid } from './warming-words.ts';

const C = (t: number): number => t + 273.15;
const now = new Date('2026-05-02T20:00:00Z');
const at = (b: Bench): Context => contextOf(b.survey, now, 'metric');
/** The moment after the last entry, while it still runs. */
const live = (b: Bench): Context => contextOf(b.survey, new Date(b.survey.readings.at(-1)!.at), 'metric');
type Curve = (s: number) => number;
const towards =
  (from: number, to: number, tau = 240): Curve =>
  (s) =>
    to - (to - from) * Math.exp(-s / tau);
const minute = 1 / 60;

/** A run with a reading every half minute; the bench adds a minute to each, so the clock is turned back first. */
function ran(
  b: Bench,
  minutes: number,
  curve: Curve,
  o: { spot?: Spot; stream?: 'strong' | 'weak' | 'none'; open?: true } = {}
): Bench {
  b.read('run.event', 'start');
  if (o.stream) b.wait(-minute).read('run.stream', o.stream);
  for (let s = 30; s <= minutes * 60; s += 30)
    b.wait(-minute / 2).read('run.temperature', C(curve(s)), { conditions: { spot: o.spot ?? 'head' } });
  return o.open ? b : b.read('run.event', 'stop');
}

describe('runs in the record', () => {
  it('lie between start and stop, entries of each spot on a track of their own', () => {
    const b = ran(new Bench(), 6, towards(12, 60));
    b.wait(2);
    ran(b, 5, towards(30, 61), { spot: 'thermostat', stream: 'strong' });
    const runs = runsOf(at(b));
    expect(runs.map((r) => [r.label, r.tracks.map((t) => t.spot), r.stoppedAt !== undefined])).toEqual([
      ['run 1', ['head'], true],
      ['run 2', ['thermostat'], true]
    ]);
    expect(mainTrack(runs[0]!)!.samples).toHaveLength(12);
    expect(runs[1]!.streams).toEqual([{ seconds: 0, value: 'strong' }]);
    expect(runningRun(at(b))).toBeUndefined();
  });
  it('without a start begin at their first entry; without an end run on until entries cease for an hour', () => {
    const b = new Bench().read('run.temperature', C(20)).read('run.temperature', C(30));
    const soon = contextOf(b.survey, new Date('2026-05-02T08:10:00Z'), 'metric');
    expect(runningRun(soon)!.minutes).toBeCloseTo(1, 6);
    expect(runsOf(at(b))[0]).toMatchObject({ silent: true });
  });
  it('a gap of hours ends a run where its entries cease: what came later is not its curve', () => {
    const b = ran(new Bench(), 4, towards(12, 60), { open: true });
    b.wait(3).read('run.temperature', C(14));
    const [run] = runsOf(at(b));
    expect(run!.silent).toBe(true);
    expect(mainTrack(run!)!.samples).toHaveLength(8);
    expect(b.read('run.remark', 'cold again').said('run.end')).toMatch(/how did this run end|say how it went/);
  });
  it('taken back readings are gone from it', () => {
    const b = ran(new Bench(), 4, towards(12, 60));
    const last = b.survey.readings.filter((r) => r.what === 'run.temperature').at(-1)!;
    b.read('run.temperature', last.value as number, { supersedes: last.id, withdrawn: true });
    expect(mainTrack(runsOf(at(b))[0]!)!.samples).toHaveLength(7);
  });
  it('a logger’s record is a run of its own, cut at its long gaps', () => {
    const seconds = [...Array(40).keys()].map((k) => k * 10).concat([...Array(40).keys()].map((k) => 9000 + k * 10));
    const b = new Bench().read('run.log', {
      file: 'deck.csv',
      rows: 80,
      seconds,
      temperature: seconds.map((s) => C(towards(15, 60)(s % 9000))),
      rpm: seconds.map(() => 900),
      gap: 8610,
      hottest: { seconds: 9390, temperature: C(61) }
    });
    const runs = runsOf(at(b));
    expect(runs.map((r) => r.label)).toEqual(['logger, deck.csv, part 1', 'logger, deck.csv, part 2']);
    expect(runs[1]!.hottest).toMatchObject({ temperature: C(61), seconds: 390 });
    expect(runs[0]!.gap).toBe(8610);
  });
  it('the places of one file are tracks of one run, whichever was entered first; the hotter one speaks', () => {
    const log = (from: number, hot: number) => ({
      file: 'deck.csv',
      rows: 40,
      seconds: [...Array(20).keys()].map((k) => from + k * 10),
      temperature: [...Array(20).keys()].map((k) => C(towards(15, hot)(from + k * 10)))
    });
    for (const order of [
      ['head-port', 'head-starboard'],
      ['head-starboard', 'head-port']
    ] as const) {
      const b = new Bench();
      const moment = '2026-06-01T10:00:00Z';
      for (const spot of order)
        b.read('run.log', spot === 'head-port' ? log(0, 60) : log(30, 110), { at: moment, conditions: { spot } });
      const runs = runsOf(at(b));
      expect(runs).toHaveLength(1);
      expect(new Set(runs[0]!.tracks.map((t) => t.spot))).toEqual(new Set(order));
      expect(runs[0]!.hottest!.spot).toBe('head-starboard');
      expect(runs[0]!.hottest!.seconds).toBe(220);
      expect(runs[0]!.minutes).toBeCloseTo(220 / 60, 9);
    }
    const apart = new Bench();
    for (const day of ['01', '02'])
      apart.read('run.log', log(0, 60), { at: `2026-06-${day}T10:00:00Z`, conditions: { spot: 'head' } });
    expect(runsOf(at(apart))).toHaveLength(2);
  });
});

describe('where a run heads for', () => {
  const state = (b: Bench): string => warmingOf(at(b), runsOf(at(b)).at(-1)!)!.state;
  it('says nothing from a few readings', () => {
    const b = ran(new Bench(), 2, towards(12, 60), { open: true });
    expect(warmingOf(at(b), runsOf(at(b))[0]!)).toMatchObject({ state: 'few' });
  });
  it('tells early that it will pass the limit, with the time left', () => {
    const b = ran(new Bench(), 5, towards(14, 125, 300), { open: true });
    const w = warmingOf(live(b), runsOf(live(b))[0]!)!;
    expect(w.state).toBe('will-pass');
    expect(warmingSaid(w, 'metric')).toMatch(
      /^Stop it: it heads for .* over the limit of 90 °C .*It gets there (in about|within)/
    );
    expect(w.limitAt! / (300 * Math.log(111 / 35))).toBeCloseTo(1, 1);
  });
  it('afterwards it says where it was heading, and asks nobody to stop', () => {
    const b = ran(new Bench(), 5, towards(14, 125, 300));
    expect(warmingSaid(warmingOf(at(b), runsOf(at(b))[0]!)!, 'metric')).toMatch(
      /^It was heading for .* over the limit of 90 °C/
    );
  });
  it('promises no plateau before about 1.4 time constants', () => {
    expect(state(ran(new Bench(), 4, towards(12, 58, 400), { open: true }))).toBe('open');
  });
  it('settles, then is steady', () => {
    expect(state(ran(new Bench(), 9, towards(12, 60)))).toBe('settles');
    expect(state(ran(new Bench(), 25, towards(12, 60)))).toBe('steady');
  });
  it('a reading at the limit is over it, whatever the curve says; the manual’s limit wins', () => {
    const b = ran(new Bench(), 20, towards(12, 78));
    expect(state(b)).toBe('steady');
    b.survey = {
      ...b.survey,
      engine: { ...b.survey.engine, manual: { 'cooling.hot': { value: C(75), page: '4-2' } } }
    };
    expect(warmingSaid(warmingOf(at(b), runsOf(at(b)).at(-1)!)!, 'metric')).toMatch(
      /limit 75 °C \(manual, page 4-2\)\.$/
    );
  });
  it('the thermostat is said where it opened', () => {
    const b = ran(new Bench(), 16, (s) => Math.min(60, towards(12, 96, 300)(s)));
    expect(warmingSaid(warmingOf(at(b), runsOf(at(b))[0]!)!, 'metric')).toMatch(
      /^The thermostat opened at about \d:\d\d\. Steady at 60 °C/
    );
  });
  it('water from the stream is not the head', () => {
    const b = ran(new Bench(), 6, towards(12, 95), { spot: 'stream' });
    expect(runsOf(at(b))[0]!.hottest).toBeUndefined();
    expect(mainTrack(runsOf(at(b))[0]!)).toBeUndefined();
  });
  it('banks are compared only where both were read within minutes', () => {
    const b = new Bench().read('run.event', 'start');
    for (const [spot, t] of [
      ['head-port', 70],
      ['head-starboard', 56]
    ] as const)
      b.read('run.temperature', C(t), { conditions: { spot } });
    expect(bankDifference(at(b), runsOf(at(b))[0]!)).toMatchObject({ port: C(70), starboard: C(56) });
    b.wait(0.2).read('run.temperature', C(75), { conditions: { spot: 'head-port' } });
    expect(bankDifference(at(b), runsOf(at(b))[0]!)).toBeUndefined();
  });
});

describe('a temperature that cannot be', () => {
  const base = (): Bench => ran(new Bench(), 8, towards(12, 60), { open: true });
  it('a jump of sixty kelvins is asked again, and not taken for the end of the engine', () => {
    const b = base()
      .wait(-minute / 2)
      .read('run.temperature', C(121), { conditions: { spot: 'head' } });
    const w = warmingOf(live(b), runsOf(live(b))[0]!)!;
    expect(w.state).toBe('odd');
    expect(warmingSaid(w, 'metric')).toMatch(
      /^Stop now\. 121 °C after \d+ °C a moment before: no head with water does that\. Read it again; if it was a slip, take it back\./
    );
  });
  it('back at its place it stands alone: left out of curve and limit, and said', () => {
    const b = base()
      .wait(-minute / 2)
      .read('run.temperature', C(121), { conditions: { spot: 'head' } });
    for (const t of [54, 54.5, 55]) b.wait(-minute / 2).read('run.temperature', C(t), { conditions: { spot: 'head' } });
    b.read('run.event', 'stop');
    expect(b.ids()).toContain('run.odd:cannot-tell');
    expect(runsOf(at(b))[0]!.hottest!.temperature).toBeLessThan(C(60));
    expect(b.ids().join()).not.toMatch(/run\.heat:fault/);
  });
  it('two hot readings in a row are believed', () => {
    const b = base();
    for (const t of [121, 122]) b.wait(-minute / 2).read('run.temperature', C(t), { conditions: { spot: 'head' } });
    expect(warmingOf(live(b), runsOf(live(b))[0]!)!.state).toBe('over');
  });
});

describe('two runs beside each other', () => {
  const two = (a: Curve, b: Curve, spots: [Spot, Spot] = ['head', 'head']) => {
    const bench = ran(new Bench(), 22, a, { spot: spots[0] });
    bench.wait(1);
    ran(bench, 22, b, { spot: spots[1] });
    const [x, y] = runsOf(at(bench));
    return compareRuns(at(bench), x!, y!);
  };
  const wobble =
    (f: Curve, k: number): Curve =>
    (s) =>
      f(s) + (((s / 30) * k) % 3) - 1;
  it('alike within what they scatter, cooler or hotter beyond it', () => {
    expect(two(wobble(towards(12, 60), 1), wobble(towards(12, 60.4), 2)).verdict).toBe('same');
    expect(two(wobble(towards(12, 74), 1), wobble(towards(12, 60), 2)).verdict).toBe('cooler');
    expect(two(wobble(towards(12, 60), 1), wobble(towards(12, 74), 2)).verdict).toBe('hotter');
  });
  it('never across two places', () => {
    expect(two(towards(12, 60), towards(12, 80), ['head', 'thermostat'])).toMatchObject({ verdict: 'cannot-tell' });
  });
});

describe('what is asked, and when', () => {
  const due = (b: Bench, s: number): string[] => duePrompts(at(b), runsOf(at(b)).at(-1)!, s).map((p) => p.id);
  it('lamp, then the stream within half a minute, a temperature every half minute, then leaks, smoke and shift', () => {
    const b = new Bench({ indicator: 'fitted', shift: 'shift' }).read('run.event', 'start');
    expect(due(b, 3)).toEqual(['temperature']);
    expect(due(b, 31)).toEqual(['lamp', 'stream', 'temperature']);
    expect(due(b, 310)).toEqual(['lamp', 'stream', 'leaks', 'smoke', 'gears', 'temperature']);
    b.wait(-minute).read('run.lamp', 'none').wait(-minute).read('run.stream', 'weak');
    expect(due(b, 31)).toEqual(['temperature']);
  });
  it('no indicator: water with the exhaust instead; direct drive is not shifted', () => {
    const b = new Bench({ indicator: 'not-fitted', shift: 'direct' }).read('run.event', 'start');
    expect(due(b, 400)).toEqual(['lamp', 'exhaust', 'leaks', 'smoke', 'temperature']);
  });
  it('says minutes and hours as a clock does', () => {
    expect([clock(4), clock(245), clock(3725), clock(-3)]).toEqual(['0:04', '4:05', '1:02:05', '0:00']);
  });
});

describe('stream and temperature together', () => {
  const bench = (): Bench =>
    new Bench({ indicator: 'fitted' }).read('cooling.source', 'tank').read('safe.place', 'outdoors');
  it('weak with a normal temperature is the outlet or line, and does not close the matter', () => {
    const b = ran(bench(), 25, towards(12, 60), { stream: 'weak' });
    expect(b.said('cooling.outlet')).toMatch(/outlet or its line, not to the pump.*does not clear the pump/);
    expect(b.ids()).toContain('cooling.outlet:cannot-tell');
  });
  it('weak with a rising fit is stop, and no outlet is named', () => {
    const b = ran(bench(), 5, towards(14, 125, 300), { stream: 'weak', open: true });
    expect(b.ids()).toContain('cooling.rising:fault');
    expect(b.said('cooling.rising')).toMatch(/still climbs: stop it/);
    expect(b.ids().join()).not.toMatch(/cooling\.outlet/);
    expect(b.assessed().steps.find((s) => s.id === 'hot')).toBeDefined();
  });
  it('weak while the head still warms, its thermostat shut: neither a stop nor a clear pump', () => {
    const warming = [42, 46, 50, 54, 58].reduce(
      (b, t) => b.wait(1 / 60).read('run.temperature', C(t)),
      bench().read('run.event', 'start').read('run.stream', 'weak')
    );
    expect(warming.ids().join()).not.toMatch(/cooling\.rising/);
    expect(warming.said('cooling.outlet')).toMatch(/still warming and says nothing about the pump/);
    expect(warming.assessed().steps.map((s) => s.id)).not.toContain('hot');
    // Stopped before it opened, its head was never seen to stay cool.
    const b = warming.read('run.event', 'stop').read('cooling.outlet', 'clear');
    expect(b.said('cooling')).not.toMatch(/stays cool|not to the pump/);
  });
  it('the later of check and run counts', () => {
    const b = ran(bench().read('cooling.stream', 'none').read('cooling.head', C(50)), 6, towards(12, 60), {
      stream: 'strong'
    });
    expect(lastSeen(at(b))).toMatchObject({ stream: 'strong' });
    b.wait(1).read('cooling.stream', 'weak').read('cooling.head', C(66));
    expect(lastSeen(at(b))).toMatchObject({ stream: 'weak', head: C(66) });
  });
  it('a hot run holds the release until it is repeated and good', () => {
    const b = ran(bench(), 8, towards(14, 140, 260), { stream: 'weak' });
    expect(b.holds()).toContain('run');
    b.wait(3);
    ran(b.read('run.cause', 'outlet cleared, impeller renewed'), 25, towards(14, 60), { stream: 'strong' });
    expect(b.holds()).not.toContain('run');
  });
});

describe('what a hold refuses of a run', () => {
  it('its start and that it ran, never its stop or what was read meanwhile', () => {
    const holds = new Bench({}, 'drowned').judged().holds;
    expect(refusal(holds, 'run.event', 'start')).toMatch(/^Refused: Drowned/);
    expect(refusal(holds, 'run.outcome', 'ran')).toMatch(/^Refused/);
    for (const [what, value] of [
      ['run.event', 'stop'],
      ['run.outcome', 'stopped'],
      ['run.temperature', 300],
      ['run.cause', 'smoke']
    ] as const)
      expect(refusal(holds, what, value)).toBeUndefined();
  });
  it('water on a plug afterwards is a fault whatever else was good', () => {
    const b = new Bench().read('run.outcome', 'ran').read('run.plugAfter', 'wet');
    expect(b.ids()).toContain('run.plug-wet:fault');
    expect(b.assessed().steps.map((s) => s.id)).toContain('water-in');
  });
});
