import { describe, expect, it } from 'vitest';
import type { Conditions } from '../../src/core/record/reading.ts';
import { PSI } from '../../src/core/units/factors.ts';
import { Bench } from '../case.ts';
import { direct, hose } from '../gauges.ts';

const twin = { strokes: 'two', cylinders: 2, displacement: 300e-6, ignition: 'cdi', starting: 'electric' } as const;
const four = { ...twin, strokes: 'four', cylinders: 4, layout: 'inline', displacement: 1e-3 } as const;
const proper: Conditions = { throttle: 'open', bores: 'dry', engine: 'cold', volts: 12.4, rpm: 320 };

const psi =
  (values: readonly number[], conditions: Conditions = proper, instrument = direct, first = 1) =>
  (b: Bench): Bench =>
    b.psi(
      values.map((v, k) => [k + first, v] as const),
      { conditions, instrument }
    );
const spark =
  (value: 'good' | 'weak' | 'none', conditions: Conditions = {}, cylinder = 1) =>
  (b: Bench): Bench =>
    b.read('spark.result', value, { cylinder, conditions: { path: 'tester', light: 'shade', ...conditions } });
const both =
  (...steps: ((b: Bench) => Bench)[]) =>
  (b: Bench): Bench =>
    steps.reduce((x, f) => f(x), b);
const lanyard =
  (is: 'yes' | 'no') =>
  (b: Bench): Bench =>
    b.read('spark.lanyard', is);

/** What was read, the doubt that it raises, and what its sentence asks for, made as it asks. */
const doubts: readonly (readonly [
  string,
  {
    readonly of?: typeof twin | typeof four;
    readonly read: (b: Bench) => Bench;
    readonly raises: string;
    readonly asked: (b: Bench) => Bench;
  }
])[] = [
  [
    'the throttle was not noted',
    { read: psi([92, 90], { bores: 'dry' }), raises: 'throttle-unknown', asked: psi([118, 115]) }
  ],
  ['it was shut', { read: psi([60, 95], { ...proper, throttle: 'shut' }), raises: 'throttle', asked: psi([117, 119]) }],
  [
    'one was low, once',
    { of: four, read: psi([190, 188, 120, 191]), raises: 'low.3', asked: psi([121], proper, direct, 3) }
  ],
  ['one was low, once, of two', { read: psi([120, 82]), raises: 'low.2', asked: psi([83], proper, direct, 2) }],
  [
    'low through a long hose',
    { read: psi([98, 70], proper, hose), raises: 'low.2', asked: both(psi([120, 84]), psi([121, 85])) }
  ],
  [
    'the needle fell between pulls',
    {
      read: (b) =>
        b.read(
          'compression.pulls',
          [60, 90, 70, 95].map((p) => p * PSI),
          { cylinder: 1, conditions: proper, instrument: direct }
        ),
      raises: 'falls.1',
      asked: psi([118, 117], proper, { ...direct, name: 'another' })
    }
  ],
  [
    'one under other conditions',
    {
      of: four,
      read: both(psi([190, 188, 189]), psi([150], { ...proper, throttle: 'unknown' }, direct, 4)),
      raises: 'unlike.4',
      asked: psi([187], proper, direct, 4)
    }
  ],
  [
    'the last ones low on a falling battery',
    {
      of: four,
      read: (b) =>
        [185, 180, 150, 140].reduce(
          (x, v, k) => psi([v], { ...proper, volts: [12.2, 11.4, 9.9, 9.4][k]! }, direct, k + 1)(x),
          b
        ),
      raises: 'unlike.3',
      asked: psi([186, 184, 185, 187])
    }
  ]
];

describe('law 9: a doubt is closed by what it asks for', () => {
  it.each(doubts)('compression: %s', (_, { of = twin, read, raises, asked }) => {
    const b = read(new Bench(of));
    const open = (): string[] =>
      b
        .judged()
        .findings.filter((f) => f.repeat && f.station === 'compression')
        .map((f) => f.id.replace('compression.', ''));
    expect(open()).toContain(raises);
    asked(b);
    expect(open()).toEqual([]);
    expect(b.assessed().moves.filter((m) => m.kind === 'repeat' && m.station === 'compression')).toEqual([]);
  });

  it.each([
    ['in the sun', both(lanyard('yes'), spark('weak', { light: 'sun' })), both(spark('good'), spark('good', {}, 2))],
    [
      'with the lanyard out',
      both(lanyard('no'), spark('none')),
      both(lanyard('yes'), spark('good'), spark('good', {}, 2))
    ],
    [
      'on a weak battery',
      both(lanyard('yes'), spark('none', { rpm: 120, volts: 9 }), spark('none', { rpm: 120, volts: 9 }, 2)),
      both(spark('good', { rpm: 320, volts: 12.3 }), spark('good', { rpm: 320, volts: 12.3 }, 2))
    ],
    [
      'now and then',
      both(lanyard('yes'), spark('good'), spark('none'), spark('good'), spark('good', {}, 2)),
      both(spark('good'), (b) => b.read('spark.steady', 'steady', { cylinder: 1 }))
    ]
  ])('spark looked at %s', (_, read, asked) => {
    const b = read(new Bench(twin));
    const open = (): string[] =>
      b
        .judged()
        .findings.filter((f) => f.station === 'spark' && f.condition !== 'sound')
        .map((f) => f.id);
    expect(open().length).toBeGreaterThan(0);
    asked(b);
    expect(open()).toEqual([]);
    expect(b.assessed().moves.filter((m) => m.kind === 'repeat' && m.station === 'spark')).toEqual([]);
  });
});
