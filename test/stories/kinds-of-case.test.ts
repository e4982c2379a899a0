import { describe, expect, it } from 'vitest';
import type { StepMark } from '../../src/core/record/reading.ts';
import { decide } from '../../src/core/decision/decide.ts';
import { Bench } from '../case.ts';
import { four, two } from './engines.ts';
import { story } from './story.ts';

/** What kind of case it is says what is asked about at all: a lay-up, a single job and a new engine are no assessment of wear. */
const titles = (b: Bench): string[] => b.assessed().moves.map((m) => m.title);
const mark =
  (step: string, state: StepMark['state'] = 'done') =>
  (b: Bench): Bench => {
    const steps = b.survey.steps ?? [];
    b.survey = {
      ...b.survey,
      steps: [...steps, { id: `m${steps.length}`, at: '2026-05-02T07:00:00.000Z', step, state }]
    };
    return b;
  };
const safe = (b: Bench): Bench =>
  b
    .read('safe.lanyard', 'out')
    .read('safe.battery', 'off')
    .read('safe.propeller', 'off')
    .read('safe.secured', 'yes')
    .read('safe.place', 'outdoors');

describe('a lay-up', () => {
  story(
    () => new Bench({ ...four, fuelSystem: 'electronic' }, 'lay-up', { water: 'salt' }),
    [
      { entered: 'made safe: what it runs on for its stabiliser comes first', by: safe, now: /^Muffs, tank or afloat/ },
      {
        entered: 'water and oil level written down: the stabiliser run',
        by: (b) => b.read('cooling.source', 'muffs').read('oil.dip', 'between').read('oil.dip', 'between'),
        now: /^Stabilised fuel through the system/
      },
      { entered: 'that done: the flush', by: mark('flow.lay-up.treat'), now: /^Flushed with fresh water/ },
      {
        entered: 'flushed; water comes first at the gear plug: that is asked about before the lay-up goes on',
        by: (b) => mark('flow.lay-up.flush')(b).read('gear.first', 'water'),
        now: /^Drain and measure the gear oil/
      }
    ]
  );
  it('asks for no plugs, spark, compression or first run', () => {
    const b = safe(new Bench(four, 'lay-up'));
    expect(titles(b).join('\n')).not.toMatch(/compression|Spark|Plugs out and read|First run|Nothing points there/);
  });
  it('the water it runs on does not flush it', () => {
    const b = safe(new Bench(two, 'lay-up')).read('cooling.source', 'muffs');
    expect(titles(b).join('\n')).toMatch(/Flushed with fresh water/);
  });
  it('every step ticked, and it is finished', () => {
    const b = safe(new Bench(two, 'lay-up')).read('cooling.source', 'muffs');
    for (const s of ['treat', 'flush', 'gear', 'tank', 'bowl', 'bores', 'grease', 'battery', 'upright', 'turn'])
      mark(`flow.lay-up.${s}`)(b);
    expect(titles(b)[0]).toBe('Lay-up: finished');
    expect(titles(mark('flow.lay-up')(b))).toEqual(['Nothing more to do here']);
  });
});

describe('a single job', () => {
  const gear = (): Bench => safe(mark('flow.gear-oil', 'open')(new Bench(two, 'single-job')));
  it('goes by its own steps, and by nothing else of the engine', () => {
    expect(titles(gear())[0]).toMatch(/^Upright a while, then the lower plug a crack/);
    expect(titles(gear()).join('\n')).not.toMatch(/Turn it by hand|compression|Spark|Look it over/);
  });
  it('what it finds comes before its next step', () => {
    const now = titles(gear().read('gear.magnet', 'pieces'));
    const step = now.findIndex((t) => t.startsWith('Plugs and their slots'));
    expect(now.indexOf('Drain and measure the gear oil, look for metal')).toBeLessThan(step);
  });
  it('is the work on the list that it is the inside of', () => {
    const b = safe(mark('flow.pump', 'open')(new Bench(two, 'single-job')))
      .read('cooling.opened', 'yes')
      .read('cooling.missing', 2)
      .read('cooling.vanes', 6);
    expect(titles(b)).not.toContain('Renew the water pump');
    expect(titles(b).slice(0, 2).join('\n')).toMatch(/missing vane pieces/);
    expect(titles(b).join('\n')).toMatch(/^Gear selected as the manual says/m);
    expect(titles(mark('flow.pump')(b))).toContain('Renew the water pump');
  });
  it('of which nobody said what it is, asks only for what was found', () => {
    const b = safe(new Bench(two, 'single-job'));
    expect(titles(b)).toEqual(['Nothing more to do here']);
    expect(titles(b.read('gear.first', 'milky'))[0]).toMatch(/gear oil|Case test/);
  });
});

describe('a new engine', () => {
  story(
    () => new Bench(four, 'new-engine'),
    [
      {
        entered: 'made safe: it has no oil yet',
        by: safe,
        holds: ['oil'],
        now: /^Fill the engine oil, then dip twice/
      },
      { entered: 'dipped dry: it is filled, not dipped again', by: (b) => b.read('oil.dip', 'none'), now: /^Fill the/ },
      {
        entered: 'filled, one dip: a second',
        by: (b) => b.read('oil.poured', 3e-3).read('oil.dip', 'between'),
        now: /^Dip again, until two agree/
      },
      {
        entered: 'two dips agree: it is looked over, and nothing is taken apart',
        by: (b) => b.read('oil.dip', 'between'),
        now: /^Look it over/
      }
    ]
  );
  it('is not opened to be looked into', () => {
    const b = safe(new Bench(four, 'new-engine'));
    expect(titles(b).slice(0, 6).join('\n')).not.toMatch(/Plugs out and read|Spark, every|Compression, every/);
  });
  it('carries a label until its oil is in', async () => {
    const { labelsOf } = await import('../../src/core/drowned/labels.ts');
    const labels = (b: Bench): string[] => labelsOf(b.judged().context, b.judged().holds).map((l) => l.text);
    const b = new Bench(four, 'new-engine');
    expect(labels(b)).toContain('NO OIL');
    expect(labels(b.read('oil.poured', 3e-3))).not.toContain('NO OIL');
    expect(labels(new Bench(two, 'new-engine'))).not.toContain('NO OIL');
  });
});

describe('a drowned engine', () => {
  const sunk = (more: object = {}): Bench =>
    safe(
      new Bench({ ...two, cylinders: 2 }, 'drowned', {
        submerged: 'yes',
        water: 'fresh',
        runningWhenSunk: 'no',
        ...more
      })
    );
  const dry = (b: Bench): Bench =>
    b.read('turn.plugs', 'out').read('turn.result', 'free').read('turn.water', 'none').read('turn.pass', 'clear');
  const need = (b: Bench): boolean | undefined =>
    b
      .judged()
      .holds.find((h) => h.id === 'drowned')
      ?.needs.find((n) => n.text === 'no more water from the plug holes')?.done;

  it('water seen in a hole after it was turned dry holds it again, until the hole is seen empty', () => {
    const b = dry(sunk());
    for (const k of ['tank', 'line', 'bowl'] as const) b.read(`fuel.${k}`, 'fresh');
    expect(b.holds()).not.toContain('drowned');
    b.read('plugs.hole', 'water', { cylinder: 2 });
    expect(b.holds()).toContain('drowned');
    expect(b.assessed().moves[0]!.title).toMatch(/water out by hand/);
    expect(b.read('plugs.hole', 'clean', { cylinder: 2 }).holds()).not.toContain('drowned');
  });
  it('a pass of oil that comes clear says that no water is left, one that brings water says that it is', () => {
    const b = sunk().read('turn.plugs', 'out').read('turn.result', 'free').read('turn.water', 'some');
    expect([need(b), need(b.read('turn.pass', 'drops')), need(b.read('turn.pass', 'clear'))]).toEqual([
      false,
      false,
      true
    ]);
    expect(need(b.read('turn.pass', 'water'))).toBe(false);
    expect(b.ids()).toContain('turn.water:fault');
    expect(need(b.read('turn.water', 'none'))).toBe(true);
  });
  it('a plug that lay on the bench while it was turned dry was wet before; one that came out since was not', () => {
    const b = dry(sunk()).read('plugs.read', ['water'], { cylinder: 1 });
    expect(need(b)).toBe(true);
    const back = dry(sunk()).read('turn.plugs', 'in').read('plugs.read', ['water'], { cylinder: 1 });
    expect(need(back)).toBe(false);
  });
  it('a step against the clock and what a finding asks for stand once', () => {
    const b = sunk({ runningWhenSunk: 'yes' }).read('turn.plugs', 'out').read('turn.water', 'some');
    const water = b.assessed().moves.filter((m) => m.items?.includes('turn.water'));
    expect(water.map((m) => m.class)).toEqual([2]);
    expect(water[0]!.because).toMatch(/^Water still comes out of the plug holes/);
  });
  it('what is ticked by hand says under which mark', () => {
    const b = dry(sunk());
    expect(b.assessed().moves.find((m) => m.id === 'drowned:crankcase')).toMatchObject({
      mark: 'drowned.crankcase',
      sheet: 'drowned'
    });
  });
});

it('fresh water leaves no salt: nothing is rinsed for it', () => {
  const sunk = (water: 'fresh' | 'salt' | 'brackish'): string[] =>
    new Bench(two, 'drowned', { submerged: 'yes', water, runningWhenSunk: 'no' }).assessed().steps.map((s) => s.id);
  expect(sunk('fresh')).not.toContain('rinse');
  expect(sunk('fresh')).toContain('empty-cylinders');
  for (const water of ['salt', 'brackish'] as const) expect(sunk(water)).toContain('rinse');
});

it('the impeller of an engine out of its box is as new as the engine', () => {
  const b = new Bench(four, 'new-engine').read('cooling.source', 'tank').read('cooling.stream', 'strong');
  expect(b.ids().join()).not.toMatch(/cooling\.pump:(cannot-tell|watch)/);
  expect(new Bench(four, 'neglected').read('cooling.source', 'tank').read('cooling.stream', 'strong').ids()).toContain(
    'cooling.pump:cannot-tell'
  );
});

it('of an engine that is only laid up nobody says that nothing of it asks for repair', () => {
  const { because } = decide(new Bench(two, 'lay-up').assessed(), 500);
  expect(because).toBe('Nothing that was found asks for repair; the rest of the engine is no part of this job.');
});
