import { describe, expect, it } from 'vitest';
import type { Conditions, Instrument } from '../../src/core/record/reading.ts';
import { Bench } from '../case.ts';
import { direct } from '../gauges.ts';
import { readyToRun } from './all-good.ts';
import { four, two } from './engines.ts';
import { story } from './story.ts';

const twin = { strokes: 'two', cylinders: 2, displacement: 300e-6, ignition: 'cdi', starting: 'rope' } as const;
const open: Conditions = { throttle: 'open', bores: 'dry', engine: 'cold' };

const psi =
  (list: readonly (readonly [number, number])[], conditions: Conditions = open, instrument: Instrument = direct) =>
  (b: Bench): Bench =>
    b.psi(list, { conditions, instrument });
const twice =
  (list: readonly (readonly [number, number])[]) =>
  (b: Bench): Bench =>
    psi(list)(psi(list)(b));

describe('leak-down answers what asked for it', () => {
  const leak = (k: number, share: number) => (b: Bench) => b.read('compression.leakdown', share, { cylinder: k });
  story(
    () => new Bench(twin),
    [
      {
        entered: '58 and 57, twice',
        by: twice([
          [1, 58],
          [2, 57]
        ]),
        finds: ['compression.figure:cannot-tell'],
        says: /leak-down next/
      },
      { entered: 'cylinder 1 is tight at 4 %', by: leak(1, 0.04), finds: ['compression.figure:cannot-tell'] },
      {
        entered: 'cylinder 2 is tight at 5 %',
        by: leak(2, 0.05),
        finds: ['compression.figure:sound'],
        notSays: /leak-down next/
      }
    ]
  );
  describe('of one that is low', () =>
    story(
      () => new Bench(twin),
      [
        {
          entered: '120 and 84, twice',
          by: twice([
            [1, 120],
            [2, 84]
          ]),
          finds: ['compression.low.2:fault']
        },
        { entered: 'cylinder 1 tight', by: leak(1, 0.04), finds: ['compression.low.2:fault'] },
        {
          entered: 'cylinder 2 tight as well',
          by: leak(2, 0.04),
          finds: ['compression.low.2:cannot-tell'],
          says: /leak-down finds it tight/,
          notSays: /Wet test or leak-down next/
        }
      ]
    ));
  describe('of one that is low and leaks', () =>
    story(
      () => new Bench(twin),
      [
        {
          entered: '120 and 84, twice',
          by: twice([
            [1, 120],
            [2, 84]
          ]),
          finds: ['compression.low.2:fault']
        },
        {
          entered: 'cylinder 2 leaks',
          by: leak(2, 0.42),
          finds: ['compression.low.2:fault', 'compression.leakdown.2:fault'],
          says: /air leaves it: listen where it comes out, before anything is opened/,
          notSays: /Wet test or leak-down next/
        }
      ]
    ));
});

describe('two leak-downs that do not agree', () => {
  story(
    () => new Bench(twin),
    [
      {
        entered: '42 % on cylinder 2',
        by: (b) => b.read('compression.leakdown', 0.42, { cylinder: 2 }),
        finds: ['compression.leakdown.2:fault']
      },
      {
        entered: '4 % a minute later, with nothing done between',
        by: (b) => b.read('compression.leakdown', 0.04, { cylinder: 2 }),
        finds: ['compression.leakdown.2:cannot-tell'],
        says: /gave 42 % and 4 %: they are not of the same thing/,
        notSays: /tight|23 %/
      },
      {
        entered: 'rings freed, 4 %',
        by: (b) => b.read('compression.leakdown', 0.04, { cylinder: 2, round: 2 }),
        finds: ['compression.leakdown.2:sound']
      }
    ]
  );
});

describe('air of a four-stroke that is heard in the cooling water', () => {
  const heard = (where: readonly string[]): Bench =>
    new Bench({ ...four, cylinders: 2 })
      .read('compression.leakdown', 0.45, { cylinder: 2 })
      .read('compression.escape', where as never, { cylinder: 2 });
  const titles = (b: Bench): string =>
    b
      .assessed()
      .moves.map((m) => m.title)
      .join('\n');
  it('comes past no valve: lash is not measured for it', () => {
    expect(titles(heard(['water']))).not.toMatch(/Valve lash of cylinder 2/);
    expect(titles(heard(['water']))).toMatch(/Find where water gets into the cylinder/);
  });
  it('at a valve, or nowhere, lash comes first', () => {
    expect(titles(heard(['exhaust']))).toMatch(/Valve lash of cylinder 2/);
    expect(titles(heard(['water', 'intake']))).toMatch(/Valve lash of cylinder 2/);
  });
});

describe('milky oil in a four-stroke that never drowned', () => {
  const low = (b: Bench): Bench =>
    b.psi([
      [1, 180],
      [2, 120]
    ]);
  const milky = (): Bench => low(new Bench({ ...four, cylinders: 2 })).read('oil.look', 'milky');
  const first = (b: Bench): string =>
    b.assessed().moves.filter((m) => !m.waits && m.title !== 'Make it safe')[0]!.title;
  it('is drained before the low cylinder is cranked again', () => {
    expect(milky().holds()).toContain('milky-oil');
    expect(first(milky())).toMatch(/^Drain the sump/);
    expect(first(milky().read('oil.sump', 'drained'))).toMatch(/^Compression again/);
  });
  it('unknown drains nothing, and a two-stroke has no sump', () => {
    expect(milky().read('oil.sump', 'unknown').holds()).toContain('milky-oil');
    expect(low(new Bench(two)).read('oil.look', 'milky').holds()).not.toContain('milky-oil');
  });
});

describe('water on a plug whose hole was seen clean at an earlier look', () => {
  const start = (): Bench =>
    new Bench({ ...two, cylinders: 2 }).read('turn.plugs', 'out').read('plugs.hole', 'clean', { cylinder: 2 });
  const wet = (b: Bench): Bench => b.read('plugs.read', ['water'], { cylinder: 2 });
  it('the plug had gone back in since: nothing spins until the hole is looked into', () => {
    const b = wet(start().read('turn.plugs', 'in').wait(2).read('turn.plugs', 'out'));
    expect(b.holds()).toContain('liquid');
    expect(
      b
        .assessed()
        .moves.map((m) => m.title)
        .join('\n')
    ).toMatch(/Look into its hole/);
    expect(b.read('plugs.hole', 'clean', { cylinder: 2 }).holds()).not.toContain('liquid');
  });
  it('at the same look, or with the plug beside the engine all the time, it was seen dry', () => {
    expect(wet(start()).holds()).not.toContain('liquid');
    expect(wet(start().wait(2)).holds()).not.toContain('liquid');
  });
});

describe('a hole that was seen, and air past the rings', () => {
  it.each(['holed', 'scored'] as const)('%s: no soak is asked for', (seen) => {
    const b = new Bench(two).read('plugs.hole', seen, { cylinder: 2 });
    for (let k = 0; k < 2; k++)
      b.psi([
        [1, 120],
        [2, 40],
        [3, 119]
      ]);
    b.read('compression.leakdown', 0.7, { cylinder: 2 }).read('compression.escape', ['crankcase'], { cylinder: 2 });
    expect(b.ids()).toContain('compression.leakdown-overhaul.2:fault');
    const open = b.assessed().steps.flatMap((s) => (s.state === 'open' ? [s.id] : []));
    expect(open).toContain('overhaul');
    expect(open).not.toContain('soak');
  });
});

describe('leak-down into the oil of a soak', () => {
  const soaked = (): Bench => readyToRun(two).read('turn.soaked', 'yes').wait(2);
  const leaks = (b: Bench, share: number): Bench => b.read('compression.leakdown', share, { cylinder: 1 });
  const said = (b: Bench): string[] =>
    b.ids().filter((f) => f.startsWith('compression.leakdown') && !f.endsWith(':sound'));
  it('tight says nothing; half of the air gone would be more without the oil', () => {
    expect(said(leaks(soaked(), 0.08))).toEqual([]);
    expect(said(leaks(soaked(), 0.5))).toEqual(['compression.leakdown.1:fault']);
  });
  it('read after its day it is how it was, and no slip of the tester', () => {
    expect(said(leaks(leaks(soaked(), 0.5).wait(30), 0.08))).toEqual([]);
  });
});

describe('leak-down of one cylinder, and nothing of the others', () => {
  const told = (cylinders: readonly number[], share: number | 'unknown' = 0.05): Bench =>
    cylinders.reduce(
      (b, cylinder) => b.read('compression.leakdown', share, { cylinder }),
      readyToRun(two, 'neglected', ['compression'])
    );
  const asked = (b: Bench): number | undefined =>
    b.assessed().moves.find((m) => m.title === 'Compression, every cylinder')?.class;
  it('the compression of the rest is a cheap decisive check that was not made', () => {
    expect(asked(told([1]))).toBe(6);
    expect(asked(told([1, 2, 3], 'unknown'))).toBe(6);
    expect(asked(told([1, 2, 3]))).toBe(9);
  });
});
