import { describe, expect, it } from 'vitest';
import { benchProblem, type BenchEngine } from './bench.ts';
import { calendarOf, windowsOf } from './calendar.ts';
import { deliveriesOf } from './deliveries.ts';
import { pickJobs } from './picker.ts';
import { planBench } from './plan-bench.ts';
import { benchSchema, usualBench, type Pin } from './settings.ts';
import { todayOf } from './today.ts';

const settings = { ...usualBench, people: ['Ada', 'Bo'], days: [1, 2, 3, 4, 5], from: 480, to: 960 };
/** A Monday at eight, by the machine's own clock. */
const now = new Date(2026, 4, 4, 8, 0);
const step = (id: string, minutes: number, more: Partial<BenchEngine['steps'][number]> = {}) => ({
  id,
  title: id,
  minutes,
  wait: 0,
  after: [],
  follows: [],
  state: 'open' as const,
  parts: [],
  ...more
});
const engine = (id: string, steps: BenchEngine['steps'], more: Partial<BenchEngine> = {}): BenchEngine => ({
  id,
  tag: id,
  steps,
  runs: false,
  parts: [],
  ...more
});
const line = (name: string, stepId: string, more: object) =>
  ({
    id: name,
    at: '2026-05-01T08:00:00.000Z',
    key: `${stepId}/${name}`,
    name,
    step: stepId,
    state: 'ordered',
    ...more
  }) as BenchEngine['parts'][number];
const planned = (engines: BenchEngine[], pins: Pin[] = [], s = settings) =>
  planBench({ engines, settings: s, pins, now: now.toISOString() }, { tries: 300 });
const order = (engines: BenchEngine[], pins: Pin[] = []) => planned(engines, pins).plan.rows.map((r) => r.id);

describe('what the bench is planned from', () => {
  it('waits are used for another engine', () => {
    const { plan } = planned(
      [
        engine('drains', [step('gear-refill', 10, { wait: 60 }), step('plugs', 20, { after: ['gear-refill'] })]),
        engine('other', [step('anodes', 50)])
      ],
      [],
      { ...settings, people: ['Ada'] }
    );
    expect(plan.rows.map((r) => r.step).slice(0, 2)).toEqual(['gear-refill', 'anodes']);
    // 10 + 60 waiting + 20 + 10 papers; the other engine lies inside the wait.
    expect(plan.solution.cost.finish).toBe(100);
    expect(plan.solution.gap).toBe(0);
  });
  it('steps of one engine go in the order of its list, but for one that waits for a part', () => {
    const e = engine('e', [step('plugs', 10), step('carburettor', 30), step('hoses', 20)]);
    expect(order([e])).toEqual(['e/plugs', 'e/carburettor', 'e/hoses', 'e/papers']);
    const late = engine('e', e.steps, { parts: [line('kit', 'carburettor', { due: '2026-05-06' })] });
    const { plan } = planned([late]);
    expect(plan.rows.map((r) => r.id)).toEqual(['e/plugs', 'e/hoses', 'e/carburettor', 'e/papers']);
    expect(new Date(plan.rows[2]!.begins).getDate()).toBe(6);
  });
  it('another day for a delivery plans it anew', () => {
    const at = (due: string) =>
      planned([engine('e', [step('head-gasket', 60)], { parts: [line('gasket', 'head-gasket', { due })] })]).plan
        .rows[0]!.begins;
    expect(at('2026-05-07') - at('2026-05-06')).toBe(864e5);
  });
  it('what runs out first goes first, whoever promised what', () => {
    const drowned = engine('eel', [step('empty-cylinders', 20), step('plugs', 10)], {
      clock: new Date(2026, 4, 4, 9).toISOString()
    });
    const frost = engine('plover', [step('frost', 10)]);
    const due = engine('a', [step('plugs', 15)], { promised: new Date(2026, 4, 4, 9).toISOString() });
    const one = { ...settings, people: ['Ada'] };
    const rows = planned([due, frost, drowned], [], one).plan.rows.map((r) => r.id);
    expect(rows.slice(0, 2)).toEqual(['eel/empty-cylinders', 'plover/frost']);
  });
  it('an engine sent away is not worked on meanwhile, and is run only when all is done', () => {
    const e = engine('e', [step('run-again', 30), step('plugs', 10), step('bent-rod', 15, { wait: 1440 })], {
      runs: true
    });
    const { plan } = planned([e]);
    expect(plan.rows.map((r) => r.step)).toEqual(['bent-rod', 'plugs', 'run-again', 'papers']);
    expect(plan.rows[1]!.begins).toBeGreaterThanOrEqual(plan.rows[0]!.finishes);
  });
  it('a missed promise is said', () => {
    const { plan } = planned([
      engine('e', [step('plugs', 60)], { promised: new Date(2026, 4, 4, 8, 30).toISOString() })
    ]);
    expect(plan.late).toEqual([{ engine: 'e', tag: 'e', minutes: 40 }]);
  });
  it('a soak that was begun holds up what follows it', () => {
    const until = new Date(2026, 4, 5, 10);
    const e = engine('e', [
      step('soak', 10, { state: 'done', busyUntil: until.toISOString() }),
      step('feel', 30, { follows: ['soak'] })
    ]);
    expect(planned([e]).plan.rows[0]!.begins).toBe(until.getTime());
  });
});

describe('bad input never stops it', () => {
  const reasons = (engines: BenchEngine[], s = settings) =>
    benchProblem(engines, s, [], now).left.map((l) => `${l.title}: ${l.because}`);
  it('steps that wait for one another', () => {
    const ring = engine('e', [
      step('own-a', 5, { after: ['own-b'] }),
      step('own-b', 5, { after: ['own-a'] }),
      step('plugs', 5)
    ]);
    expect(reasons([ring]).join(' ')).toMatch(/own-a: It and other steps wait for one another/);
    expect(order([ring, engine('f', [step('plugs', 5)])])).toContain('f/plugs');
  });
  it('a part that never arrives, and what comes after it', () => {
    const e = engine('e', [step('reseal', 90), step('gear-refill', 20, { after: ['reseal'] })], {
      parts: [line('shaft seals', 'reseal', {})]
    });
    expect(reasons([e])).toEqual([
      'reseal: Waits for shaft seals: ordered, nobody knows for when.',
      'gear-refill: Comes after “reseal”.',
      'Gates, counters, sign-off: Comes after “reseal”.'
    ]);
    expect(planned([e]).plan.rows).toEqual([]);
  });
  it('a step without minutes is taken for twenty, and said', () => {
    const { plan } = planned([engine('e', [step('own-a', 0)])]);
    expect(plan.rows[0]!.minutes).toBe(20);
    expect(plan.notes[0]).toMatch(/says no minutes; 20 are assumed/);
  });
  it('a pin in the past, and a person who is gone', () => {
    const e = [engine('e', [step('plugs', 10)])];
    const past = planned(e, [{ engine: 'e', step: 'plugs', at: new Date(2026, 3, 1).toISOString() }]).plan;
    expect(past.notes[0]).toMatch(/put to a time that is past/);
    expect(past.rows[0]!.begins).toBe(now.getTime());
    const gone = planned(e, [{ engine: 'e', step: 'plugs', person: 'Cy' }]).plan;
    expect(gone.notes[0]).toMatch(/Cy is not here any more; anybody does/);
    expect(gone.rows[0]!.person).toBe('Ada');
  });
  it('a bench without a tank says so', () => {
    expect(reasons([engine('e', [step('run-again', 20)])], { ...settings, tank: 0 })[0]).toMatch(/no test tank/);
  });
  it('nobody, no day, no hours and twins are refused with a sentence', () => {
    const wrong = (b: object) => benchSchema.safeParse({ ...settings, ...b }).error?.issues[0]?.message;
    expect(wrong({ people: [] })).toMatch(/somebody has to work here/);
    expect(wrong({ days: [] })).toMatch(/at least one day/);
    expect(wrong({ from: 900, to: 800 })).toMatch(/ends before it begins/);
    expect(wrong({ people: ['Ada', 'ada '] })).toMatch(/cannot be told apart/);
  });
  it('an empty yard is an empty plan', () => {
    expect(planned([]).plan.rows).toEqual([]);
  });
});

describe('pins', () => {
  it('a step stands where it was put, by whom it was put to, and the rest goes round it', () => {
    const at = new Date(2026, 4, 4, 10, 0);
    const engines = [engine('e', [step('plugs', 30)]), engine('f', [step('anodes', 200)])];
    const { plan } = planned(engines, [{ engine: 'e', step: 'plugs', at: at.toISOString(), person: 'Bo' }], settings);
    const row = plan.rows.find((r) => r.id === 'e/plugs')!;
    expect([row.begins, row.person, row.pinned]).toEqual([at.getTime(), 'Bo', true]);
  });
});

describe('lists of the day', () => {
  it('each person’s steps in order, with what goes on meanwhile said once', () => {
    const { plan, problem } = planned(
      [
        engine('drains', [step('gear-refill', 10, { wait: 60 })]),
        engine('other', [step('anodes', 20), step('plugs', 20)])
      ],
      [],
      { ...settings, people: ['Ada'] }
    );
    const [ada] = todayOf(plan.solution, problem).people;
    expect(ada!.list.map((t) => t.step)).toEqual(['gear-refill', 'anodes', 'plugs', 'papers', 'papers']);
    expect(ada!.list[0]!.hint).toBe('then it goes on by itself for 60 min');
    expect(ada!.list.filter((t) => /while drains goes on/.test(t.hint ?? '')).length).toBe(1);
  });
  it('jobs for a pause know hands, noise, light, parts and what is open before them', () => {
    const e = engine(
      'e',
      [
        step('plugs', 15),
        step('gear-refill', 15),
        step('head-gasket', 15),
        step('leak-down', 15),
        step('soak', 10, { wait: 1440 }),
        step('pump', 60),
        step('coil', 10, { after: ['plugs'] })
      ],
      { parts: [line('gasket', 'head-gasket', {})] }
    );
    const picks = (p: Parameters<typeof pickJobs>[1]) => pickJobs([e], p, now).map((x) => x.step);
    expect(picks({ minutes: 20 })).toEqual(['soak', 'plugs', 'gear-refill', 'leak-down']);
    expect(picks({ minutes: 20, cleanHands: true, quiet: true })).toEqual(['plugs']);
    expect(picks({ minutes: 20, not: 'e' })).toEqual([]);
  });
  it('deliveries: the soonest first, the unknown last', () => {
    const e = engine('e', [], {
      parts: [line('b', 'x', {}), line('a', 'x', { due: '2026-05-09' }), line('c', 'x', { state: 'arrived' })]
    });
    expect(deliveriesOf([e], now).map((d) => [d.name, d.open])).toEqual([
      ['a', false],
      ['b', true]
    ]);
  });
});

describe('the calendar', () => {
  const c = calendarOf([
    [100, 160],
    [1000, 1100]
  ]);
  it('counts work through a night, and knows both edges of it', () => {
    expect([c.worked(50), c.worked(130), c.worked(500), c.worked(1010)]).toEqual([0, 30, 60, 70]);
    expect([c.begins(60), c.ends(60), c.begins(0), c.ends(0)]).toEqual([1000, 160, 100, 100]);
    expect(c.worked(5000)).toBe(4060);
  });
  it('keeps its hours on the wall when the clocks change', () => {
    const zone = process.env.TZ;
    process.env.TZ = 'Europe/Berlin';
    try {
      // Clocks go forward in the night to Sunday 29 March 2026, back in the night to Sunday 25 October.
      const hours = { days: [0, 1, 6], from: 480, to: 960 };
      for (const [month, day] of [
        [2, 28],
        [9, 24]
      ] as const) {
        const list = windowsOf(hours, new Date(2026, month, day, 12).getTime() / 60_000, 3);
        expect(list.map(([a]) => new Date(a * 60_000).getHours())).toEqual([12, 8, 8]);
        expect(list.map(([a, b]) => b - a)).toEqual([240, 480, 480]);
      }
      const night = windowsOf({ days: [0], from: 60, to: 240 }, new Date(2026, 2, 29).getTime() / 60_000, 1);
      expect(night[0]![1] - night[0]![0]).toBe(120);
    } finally {
      if (zone === undefined) delete process.env.TZ;
      else process.env.TZ = zone;
    }
  });
  it('leaves out days off, and refuses hours that are none', () => {
    const w = windowsOf({ days: [1, 2], from: 480, to: 960, closed: ['2026-05-04'] }, now.getTime() / 60_000, 7);
    expect(new Date(w[0]![0] * 60_000).getDate()).toBe(5);
    expect(() => windowsOf({ days: [], from: 1, to: 2 }, 0, 3)).toThrow(/nobody works/);
    expect(() => calendarOf([])).toThrow(RangeError);
  });
});

describe('a large yard', () => {
  it('forty engines with thirty steps each have a plan', () => {
    const engines = Array.from({ length: 40 }, (_, k) =>
      engine(
        `e${k}`,
        Array.from({ length: 30 }, (_, s) => step(`own-${s}`, 5 + ((k * 7 + s * 13) % 40), { wait: s % 9 ? 0 : 60 }))
      )
    );
    const { plan } = planBench({ engines, settings, pins: [], now: now.toISOString() }, { tries: 2 });
    expect(plan.rows.length).toBe(40 * 31);
    expect(plan.solution.gap).toBeLessThan(0.1);
  });
});
