import { describe, expect, it } from 'vitest';
import { Bench } from '../../../../test/case.ts';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { PSI } from '../../units/factors.ts';
import { compare } from './compare.ts';
import { expectedRange } from './expected.ts';
import type { AgainstFloor, LeakDownFacts, LeakFacts, TestFacts } from './facts.ts';
import { leakDownWords, leakWords } from './leak-words.ts';
import { leakTask, type NotIdentifiable } from './leak.ts';
import { notIdentifiable, sayFigure, sayUnlike } from './sheet-words.ts';
import { sayDifferences } from './differences-words.ts';
import { testWords } from './words.ts';

const bench = new Bench({ cylinders: 2, strokes: 'two', displacement: 300e-6 })
  .psi([
    [1, 118],
    [2, 92]
  ])
  .psi([
    [1, 117],
    [2, 93]
  ]);
const { context } = bench.judged();
const found = compare(context)!;
const limit = found.limit;
const figure = { id: 'compression.figure', value: 120 * PSI, provenance: 'P', manual: true, page: '4-7' } as const;
const floor: AgainstFloor = {
  judged: 90 * PSI,
  gauge: 6 * PSI,
  lowest: 90 * PSI,
  best: 118 * PSI,
  ambient: 101_325,
  altitudeKnown: true,
  cylinders: 2,
  floor: 102 * PSI,
  by: { of: 'manual', figure },
  decompression: false,
  dryFromStanding: false
};
const byModel = { ...floor, by: { of: 'model', expected: expectedRange(context)! } } as const;
const byKind = { ...floor, altitudeKnown: false, cylinders: 1, by: { of: 'kind', strokes: 'four' } } as const;
const gap = { lowest: 2, best: 1, gap: 25 * PSI };
const wet = { dry: 92 * PSI, wet: 110 * PSI, rise: 18 * PSI, reach: 4 * PSI };
const oil = { best: 97 * PSI, low: 95 * PSI, high: 99 * PSI };
const doubt = 'cannot-tell' as const;

const ofTest: Examples<TestFacts> = {
  unlike: [
    { kind: 'unlike', cylinder: 2, condition: doubt, values: { differs: [] } },
    { kind: 'unlike', cylinder: 2, condition: doubt, values: { differs: [{ of: 'gauge' }], low: true } },
    {
      kind: 'unlike',
      cylinder: 2,
      condition: doubt,
      values: { differs: [{ of: 'throttle', was: 'shut' }, { of: 'bores', was: undefined }, { of: 'gauge' }] }
    }
  ],
  throttle: [{ kind: 'throttle', condition: doubt, values: { cylinders: [1, 2] } }],
  'throttle-unknown': [{ kind: 'throttle-unknown', condition: doubt, values: {} }],
  range: [{ kind: 'range', cylinder: 1, condition: doubt, values: {} }],
  scatter: [
    { kind: 'scatter', cylinder: 1, condition: doubt, values: { readings: [125 * PSI, 50 * PSI], share: 0.15 } },
    {
      kind: 'scatter',
      id: 'scatter-wet',
      cylinder: 1,
      condition: doubt,
      values: { readings: [150 * PSI, 80 * PSI], share: 0.15, oiled: true }
    }
  ],
  falls: [{ kind: 'falls', cylinder: 1, condition: doubt, values: { series: [[70 * PSI, 98 * PSI, 92 * PSI]] } }],
  'adapter-size': [{ kind: 'adapter-size', condition: doubt, values: { adapter: 30e-6, chamber: 25e-6 } }],
  'in-soak': [{ kind: 'in-soak', condition: doubt, values: {} }],
  bores: [{ kind: 'bores', condition: doubt, values: { oil: 2e-6 } }],
  cranking: [
    { kind: 'cranking', condition: 'watch', values: { volts: 8.9, reached: false } },
    { kind: 'cranking', condition: 'watch', values: { rpm: 140, volts: 9.1, reached: false } },
    { kind: 'cranking', condition: 'sound', values: { rpm: 140, reached: true } },
    { kind: 'cranking', condition: 'watch', values: { reached: false } },
    { kind: 'cranking', condition: 'watch', values: { reached: false, tires: 34e3, starter: true } },
    { kind: 'cranking', condition: 'sound', values: { reached: true, tires: 34e3 } }
  ],
  high: [true, false].map((again) => ({
    kind: 'high' as const,
    condition: 'watch' as const,
    cylinder: 2,
    values: { mean: 180 * PSI, most: 165 * PSI, again }
  })),
  'odd-high': [true, false].map((again) => ({
    kind: 'odd-high' as const,
    condition: doubt,
    cylinder: 2,
    values: { mean: 180 * PSI, others: 121 * PSI, usual: 150 * PSI, again }
  })),
  alike: [
    { kind: 'alike', condition: 'sound', values: { gap: 2 * PSI, told: false }, limit },
    { kind: 'alike', condition: 'sound', values: { gap: 9 * PSI, told: true }, limit }
  ],
  order: [{ kind: 'order', condition: doubt, values: gap, limit }],
  spread: [{ kind: 'spread', condition: doubt, values: gap, limit }],
  low: (
    [
      'soaked',
      'throttle',
      'cranking',
      'adapter',
      'once',
      'oiled',
      'lash',
      'none',
      'wet',
      'heard',
      'unheard',
      'sight',
      'leaks'
    ] as const
  ).map((reason) => ({
    kind: 'low',
    cylinder: 2,
    condition: reason === 'none' ? 'fault' : 'watch',
    values: { ...gap, doubt: reason },
    limit
  })),
  'low-but-tight': [true, false].flatMap((again) =>
    [true, false].map((valves) => ({
      kind: 'low-but-tight' as const,
      id: 'low' as const,
      cylinder: 2,
      condition: doubt,
      values: { ...gap, again, valves, ...(again && valves ? { bank: [2, 4, 6] } : {}) },
      limit
    }))
  ),
  'figure-belt': [{ kind: 'figure-belt', repeat: true, condition: 'cannot-tell', values: byModel }],
  tight: [
    { kind: 'tight', id: 'figure', condition: 'sound', values: byModel },
    { kind: 'tight', id: 'figure', condition: 'cannot-tell', values: { ...byModel, belt: true } }
  ],
  neighbours: [{ kind: 'neighbours', condition: 'fault', values: { pair: [1, 2] }, limit }],
  wet: [
    { kind: 'wet', cylinder: 2, condition: doubt, values: { ...wet, verdict: 'lower', rise: -10 * PSI } },
    { kind: 'wet', cylinder: 2, condition: doubt, values: { ...wet, verdict: 'unmeasured' } },
    { kind: 'wet', cylinder: 2, condition: doubt, values: { ...wet, verdict: 'unmeasured', dose: 2e-6 } },
    { kind: 'wet', cylinder: 2, condition: doubt, values: { ...wet, verdict: 'flooded', dose: 40e-6 } },
    { kind: 'wet', cylinder: 2, condition: 'watch', values: { ...wet, verdict: 'rings', dose: 2e-6, oil } },
    { kind: 'wet', cylinder: 2, condition: 'watch', values: { ...wet, verdict: 'valve', dose: 2e-6, oil } },
    { kind: 'wet', cylinder: 2, condition: doubt, values: { ...wet, verdict: 'open', dose: 2e-6, oil } }
  ],
  'wet-all': [true, false].map((stood) => ({
    kind: 'wet-all',
    condition: doubt,
    values: { rises: [36 * PSI, 39 * PSI], stood }
  })),
  oiled: [{ kind: 'oiled', condition: doubt, values: floor }],
  nothing: [floor, { ...byKind, cylinders: 1 }].map((v) => ({ kind: 'nothing' as const, condition: doubt, values: v })),
  nofigure: [{ kind: 'nofigure', condition: doubt, values: floor }],
  figure: [floor, byModel, byKind].flatMap((v) => [
    { kind: 'figure' as const, condition: 'sound' as const, values: { ...v, reached: true } },
    { kind: 'figure' as const, condition: doubt, values: { ...v, reached: false } },
    {
      kind: 'figure' as const,
      condition: doubt,
      values: { ...v, reached: false, decompression: true, excuse: 'throttle', dryFromStanding: true }
    }
  ]),
  adapter: [
    { kind: 'adapter', condition: doubt, values: { ...byKind, without: { ...oil, dead: 6e-6 } } },
    { kind: 'adapter', condition: doubt, values: { ...floor, dryFromStanding: true, without: { ...oil, dead: 6e-6 } } }
  ],
  'head-was-off': [[3], [3, 4]].map((cylinders) => ({
    kind: 'head-was-off',
    condition: doubt,
    values: { cylinders }
  })),
  'lash-before': [{ kind: 'lash-before', condition: doubt, values: {} }],
  missing: [
    { kind: 'missing', condition: doubt, values: { cylinders: [3], throttleDoubted: false } },
    { kind: 'missing', condition: doubt, values: { cylinders: [3, 4], throttleDoubted: true } }
  ]
};

const bands = { watch: 0.15, fault: 0.3, limit: { ...limit, id: 'compression.leakdown' } } as const;
const leaks = (condition: 'sound' | 'fault', escapes: readonly string[], strokes: 'two' | 'other' = 'other') => ({
  cylinder: 2,
  condition,
  values: { share: 0.4, hole: 1.2e-3, escapes, bands, strokes, tester: 'shop tester' }
});
const range = { id: 'compression.lashIn', value: 0.15e-3, to: 0.2e-3, provenance: 'P', manual: true } as const;
const ofLeakDown: Examples<LeakDownFacts> = {
  leakdown: [
    { kind: 'leakdown', ...leaks('sound', []) },
    { kind: 'leakdown', ...leaks('fault', []) },
    { kind: 'leakdown', ...leaks('fault', ['intake', 'exhaust', 'crankcase', 'water'], 'two') },
    { kind: 'leakdown', ...leaks('fault', ['intake', 'exhaust']) },
    ...(['holed', 'scored'] as const).map((seen) => {
      const said = leaks('fault', ['crankcase']);
      return { kind: 'leakdown' as const, ...said, values: { ...said.values, soaked: false, lit: false, seen } };
    }),
    ...[0.4].map((freed) => {
      const said = leaks('fault', ['crankcase']);
      return { kind: 'leakdown' as const, ...said, values: { ...said.values, soaked: true, lit: false, freed } };
    })
  ],
  'leakdown-gasket': [{ kind: 'leakdown-gasket', ...leaks('fault', ['neighbour', 'edge']) }],
  'leakdown-through': [{ kind: 'leakdown-through', ...leaks('sound', ['water', 'neighbour']), condition: 'watch' }],
  overheated: [true, false].map((read) => ({
    kind: 'overheated',
    condition: doubt,
    values: { hottest: 400, limit: range, read }
  })),
  'ran-dry': [true, false].map((read) => ({ kind: 'ran-dry', condition: doubt, values: { read } })),
  'escape-unread': [
    { kind: 'escape-unread', cylinder: 1, condition: doubt, values: { escapes: ['water'] } },
    { kind: 'escape-unread', cylinder: 1, condition: doubt, values: { escapes: ['exhaust', 'edge'] } }
  ],
  crankcase: (['held', 'seal', 'reed', 'joint', 'falls'] as const).map((at) => ({
    kind: 'crankcase' as const,
    cylinder: 2,
    condition: at === 'held' ? ('sound' as const) : ('fault' as const),
    values: { at }
  })),
  flatness: (['fits', 'dress', 'machine'] as const).map((verdict) => ({
    kind: 'flatness' as const,
    condition: 'watch' as const,
    values: { gap: 0.08e-3, verdict }
  })),
  'leakdown-disagrees': [
    { kind: 'leakdown-disagrees', cylinder: 2, condition: doubt, values: { shares: [0.04, 0.42], valves: true } }
  ],
  'leakdown-against': [{ kind: 'leakdown-against', cylinder: 2, condition: doubt, values: { share: 0.45 } }],
  'leakdown-port': [{ kind: 'leakdown-port', cylinder: 2, condition: doubt, values: { share: 0.6 } }],
  'no-lash': [
    { kind: 'no-lash', id: 'lash-intake', cylinder: 1, condition: 'fault', values: { valve: 'intake', lash: 0 } }
  ],
  'tight-lash': [true, false].map((low) => ({
    kind: 'tight-lash',
    id: 'lash-exhaust',
    cylinder: 1,
    condition: low ? 'watch' : 'cannot-tell',
    values: { valve: 'exhaust', lash: 0.05e-3, low }
  })),
  'wide-lash': [
    { kind: 'wide-lash', id: 'lash-intake', cylinder: 1, condition: 'watch', values: { valve: 'intake', lash: 1e-3 } },
    {
      kind: 'wide-lash',
      id: 'lash-exhaust',
      cylinder: 2,
      condition: 'watch',
      values: { valve: 'exhaust', lash: 0.5e-3, beside: true }
    }
  ],
  lash: (
    [
      ['sound', 0.17e-3],
      ['watch', 0.05e-3],
      ['watch', 0.4e-3]
    ] as const
  ).map(([condition, lash]) => ({
    kind: 'lash',
    id: 'lash-exhaust',
    cylinder: 1,
    condition,
    values: { valve: 'exhaust', lash },
    limit: range
  }))
};

const ofLeak: Examples<LeakFacts> = {
  shape: [{ kind: 'shape', cylinder: 2, condition: doubt, values: {} }],
  leak: [{ kind: 'leak', cylinder: 2, condition: 'watch', values: { hole: 1.3e-3, low: 1e-3, high: 1.6e-3, best: 1 } }],
  tight: [{ kind: 'tight', id: 'leak', condition: 'sound', values: { cylinders: [1, 3], most: 0.4e-3, best: 2 } }]
};

describe('words of compression', () => {
  it('say every fact of a test in whole sentences, in both systems of units', () => {
    expectSpoken('compression', testWords, found, ofTest);
    expectSpoken('compression', leakDownWords, {}, ofLeakDown);
    const task = leakTask(
      new Bench({ cylinders: 2, strokes: 'two', displacement: 300e-6 })
        .psi(
          [
            [1, 118],
            [2, 92]
          ],
          { instrument: { name: 'shop', valve: 'plug end', adapterVolume: 0 } }
        )
        .judged().context
    );
    if (!task?.ok) throw new Error('a pair read without an adapter can be fitted');
    expectSpoken('compression', leakWords, task, ofLeak);
  });
  it('say how far cranking fell where the order is to blame', () => {
    const tired = (fall: { of: 'volts' | 'rpm'; from: number; to: number }) => ({
      ...found,
      order: { confounded: true, tiring: true, fall }
    });
    const say = (fall: Parameters<typeof tired>[0]): string =>
      testWords.order({ kind: 'order', condition: doubt, values: gap, limit }, tired(fall), 'us').found;
    expect(say({ of: 'volts', from: 12.1, to: 9.4 })).toMatch(
      /tested late, while cranking fell from 12\.1 V to 9\.4 V\.$/
    );
    expect(say({ of: 'rpm', from: 300, to: 210 })).toMatch(/fell from 300 rpm to 210 rpm\.$/);
  });
  it('say every figure, every difference and every reason why no leak can be told', () => {
    const figures = [
      { id: 'sea-level', cylinder: 1, here: 90 * PSI, value: 98 * PSI },
      { id: 'altitude-unknown', value: 90 * PSI },
      { id: 'without-adapter', value: 98 * PSI, low: 94 * PSI, high: 103 * PSI, dead: 6e-6 },
      { id: 'wet-dose', cylinder: 1, value: 90 * PSI, low: 88 * PSI, high: 92 * PSI, rise: 12 * PSI, oil },
      { id: 'expected', low: 90 * PSI, high: 130 * PSI, from: expectedRange(context)!.from }
    ] as const;
    for (const f of figures) expect(Object.values(sayFigure(f, found, 'us')).join(' ')).not.toMatch(/undefined|NaN/);
    expect(sayDifferences([{ of: 'throttle', was: undefined }, { of: 'gauge' }])).toBe(
      'throttle unknown, another gauge or adapter'
    );
    expect(sayUnlike(['instrument', 'adapter', 'throttle', 'bores', 'engine'])).toBe(
      'another instrument, another adapter, another throttle, other oil in the bores, warm against cold'
    );
    for (const why of Object.keys(notIdentifiable) as NotIdentifiable[])
      expect(notIdentifiable[why]).toMatch(/^Not identifiable.*\.$/);
  });
});
