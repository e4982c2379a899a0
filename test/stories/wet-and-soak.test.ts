import { describe, expect, it } from 'vitest';
import type { Conditions } from '../../src/core/record/reading.ts';
import { Bench } from '../case.ts';
import { four } from './engines.ts';
import { psi, twice } from './pressures.ts';
import { story } from './story.ts';

const three = {
  strokes: 'two',
  cylinders: 3,
  displacement: 450e-6,
  ignition: 'cdi',
  starting: 'rope'
} as const;
const oiled: Conditions = { throttle: 'open', bores: 'oiled', dose: 2e-6, engine: 'cold' };

const sound = psi([
  [1, 118],
  [2, 115],
  [3, 119]
]);

describe('oil in bores that are as they should be says nothing of valves', () => {
  story(
    () => new Bench(three),
    [
      {
        entered: '118, 115, 119 dry, and all three with oil: no rise that asks for air',
        by: (b) =>
          psi(
            [
              [1, 121],
              [2, 118],
              [3, 122]
            ],
            oiled
          )(sound(b)),
        finds: ['compression.alike:sound'],
        notFinds: ['compression.wet'],
        notNow: /Leak-down/
      }
    ]
  );
  story(
    () => new Bench(three),
    [
      {
        entered: 'less with oil than dry is a contradiction all the same',
        by: (b) => psi([[2, 80]], oiled)(sound(b)),
        finds: ['compression.wet.2:cannot-tell']
      }
    ]
  );
});

describe('rings that stood, and a night of oil', () => {
  const low = (b: Bench): Bench =>
    psi(
      [[2, 112]],
      oiled
    )(
      twice([
        [1, 120],
        [2, 72],
        [3, 118]
      ])(b)
    );
  story(
    () => new Bench(three, 'long-stored', { yearsIdle: 9 }).read('turn.plugs', 'out').read('turn.result', 'free'),
    [
      { entered: 'low, repeated, sealed by oil', by: low, finds: ['compression.low.2:fault'], now: /Leak-down/ },
      {
        entered: 'nobody has air here: the soak is ten minutes of work',
        by: (b) => b.read('compression.leakdown', 'unknown' as never, { cylinder: 2 }),
        jobs: ['soak'],
        now: /^Soak the bores/,
        notNow: /Listen/
      },
      {
        entered: 'soaked: what was read before condemns nothing, and nothing is cranked meanwhile',
        by: (b) => b.done('soak'),
        finds: ['compression.low.2:watch'],
        says: /It was soaked since/,
        notSays: /It repeats: it is low/,
        notNow: /Spark|Compression|Leak-down/
      },
      { entered: 'the next day: by hand first', by: (b) => b.wait(13), now: /^Turn it by hand again, a day later/ },
      {
        entered: 'it turns: the same cylinder again',
        by: (b) => b.read('turn.result', 'free'),
        now: /^Compression again of cylinder 2, a day after the soak/
      },
      {
        entered: '117: they were stuck, and are free',
        by: psi([[2, 117]]),
        finds: ['compression.alike:sound'],
        notFinds: ['compression.low', 'compression.wet']
      }
    ]
  );
});

describe('rings that leak half as much after a soak as before', () => {
  const air = (share: number) => (b: Bench) =>
    b.read('compression.leakdown', share, { cylinder: 2 }).read('compression.escape', ['crankcase'], { cylinder: 2 });
  const after = (low: number) => (b: Bench) =>
    twice([
      [1, 119],
      [2, low],
      [3, 118]
    ])(b.wait(30).read('turn.result', 'free'));
  story(
    () =>
      air(0.4)(
        twice([
          [1, 120],
          [2, 70],
          [3, 118]
        ])(new Bench(three, 'long-stored', { yearsIdle: 8 }).read('plugs.hole', 'clean', { cylinder: 2 }))
      ),
    [
      { entered: '40 %, to the crankcase', by: (b) => b, jobs: ['soak'], notJobs: ['overhaul'] },
      {
        entered: '25 % a day after the soak: they are coming free, and are given another one',
        by: (b) => air(0.25)(after(96)(b.done('soak'))),
        finds: ['compression.leakdown-rings.2:fault'],
        says: /Before the soak it was 40 %/,
        jobs: ['soak'],
        notJobs: ['overhaul'],
        now: /^Soak the bores/
      },
      {
        entered: '24 % after the second: no better, and a light goes in before anybody is asked for a price',
        by: (b) => air(0.24)(after(96)(b.done('soak'))),
        finds: ['compression.leakdown-bore.2:fault'],
        notJobs: ['overhaul'],
        now: /^Light into the bore/
      },
      {
        entered: 'nothing to be seen: the price',
        by: (b) => b.read('plugs.hole', 'clean', { cylinder: 2 }),
        jobs: ['overhaul']
      }
    ]
  );
});

describe('oil of no known dose in every bore of a four-stroke', () => {
  const all = (b: Bench, list: readonly number[], bores: 'dry' | 'oiled'): Bench =>
    b.psi(
      list.map((p, k) => [k + 1, p] as const),
      { conditions: { throttle: 'open', bores } }
    );
  const ask = (b: Bench): string[] =>
    b
      .assessed()
      .moves.filter((m) => m.class === 5)
      .map((m) => m.title);
  it('asks for air, and for no valve where none is low beside the others', () => {
    const b = all(all(new Bench(four), [100, 98, 99, 101], 'dry'), [160, 158, 161, 160], 'oiled');
    expect(ask(b).filter((t) => /Valve lash/.test(t))).toEqual([]);
    expect(ask(b)[0]).toMatch(/^Leak-down/);
  });
  it('asks for the lash of the one that is low', () => {
    const b = all(all(new Bench(four), [170, 90, 172, 171], 'dry'), [172, 95, 174, 173], 'oiled');
    expect(ask(all(b, [170, 91, 172, 171], 'dry')).join(' | ')).toMatch(/Valve lash of cylinder 2/);
  });
});
