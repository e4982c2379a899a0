import { describe, expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { spoken } from '../../findings/fact.ts';
import type { SparkBasis, SparkFacts } from './facts.ts';
import { words } from './words.ts';

const basis: SparkBasis = {
  lanyard: 'yes',
  ignition: 'cdi',
  seen: [
    {
      cylinder: 1,
      result: 'none',
      mixed: false,
      sun: false,
      slow: false,
      toBolt: true,
      at: '2026-05-02T08:00:00.000Z',
      path: 'tester'
    },
    { cylinder: 2, result: 'good', mixed: true, sun: true, slow: true, toBolt: false, at: '2026-05-02T08:00:00.000Z' }
  ]
};
const fault = 'fault' as const;
const doubt = 'cannot-tell' as const;
const watch = 'watch' as const;
const one = { cylinder: 1, values: {} };
const limit = { id: 'spark.gap', value: 9e-3, provenance: 'C', manual: false, name: 'common practice' } as const;
const manual = { id: 'spark.primary', value: 300, to: 400, provenance: 'P', manual: true } as const;
const row = {
  winding: 'primary',
  cylinder: 1,
  readings: [{ ohms: 350, at20: 348 }],
  repeated: 1,
  ohms20: 348,
  limit: manual
} as const;
const warm = {
  winding: 'trigger',
  readings: [
    { ohms: 350, at20: 348, temperature: 293 },
    { ohms: 330, at20: 300, temperature: 350 }
  ],
  repeated: 1,
  ohms20: 320
} as const;
const voltage = {
  cylinder: 1,
  gauge: 8e5,
  open: 8e-3,
  available: 25_000,
  gap: 0.9e-3,
  pressure: 9e5,
  temperature: 400,
  needed: 12_000,
  margin: 2.1,
  low: 1.6,
  high: 2.8
} as const;
const part = { id: 'pack', label: 'power pack', by: 'elimination' } as const;

const examples: Examples<SparkFacts> = {
  lanyard: [{ kind: 'lanyard', condition: doubt, values: {} }],
  'lanyard-out': [{ kind: 'lanyard-out', id: 'lanyard', condition: doubt, values: { cylinders: [1, 2] } }],
  stop: [{ kind: 'stop', condition: fault, values: {} }],
  'slow-everywhere': [{ kind: 'slow-everywhere', id: 'slow', condition: doubt, values: { cylinders: 2 } }],
  part: [
    { kind: 'part', condition: fault, values: { cylinders: 2, part, cleared: ['fuse', 'ground'] } },
    { kind: 'part', condition: fault, values: { cylinders: 1, part: { ...part, by: 'answer' }, cleared: [] } },
    {
      kind: 'part',
      condition: fault,
      values: { cylinders: 6, part, cleared: ['fuse'], of: { dead: [2, 4, 6], shared: 'bank' } }
    },
    {
      kind: 'part',
      condition: fault,
      values: { cylinders: 6, part, cleared: ['fuse'], of: { dead: [4, 5], shared: 'coil' } }
    }
  ],
  all: [
    { kind: 'all', condition: fault, values: { cylinders: 2, left: ['trigger', 'pack'], cleared: [], next: true } },
    { kind: 'all', condition: fault, values: { cylinders: 1, left: ['pack'], cleared: ['fuse'], next: false } }
  ],
  pair: [
    { kind: 'pair', condition: fault, values: { dead: [1, 3], shared: 'bank' } },
    { kind: 'pair', condition: fault, values: { dead: [1, 3], shared: 'bank', cleared: true } },
    { kind: 'pair', condition: fault, values: { dead: [1, 4], shared: 'coil', cleared: true } },
    { kind: 'pair', condition: fault, values: { dead: [1, 4], shared: 'coil' } }
  ],
  ground: [
    [true, true],
    [true, false],
    [false, false]
  ].map(([untried, others]) => ({
    kind: 'ground',
    condition: fault,
    ...one,
    values: { untried: untried!, others: others! }
  })),
  own: [{ kind: 'own', condition: fault, cylinder: 1, values: { part } }],
  accused: [
    ...(['stop', 'key', 'fuse', 'charge', 'trigger', 'pack'] as const).map((id) => ({
      kind: 'accused' as const,
      id: `part-${id}`,
      condition: fault,
      values: { part: id }
    })),
    { kind: 'accused', id: 'stop', condition: 'cannot-tell', values: { part: 'stop' } },
    { kind: 'accused', id: 'part-charge', condition: 'watch', values: { part: 'charge', another: true } },
    { kind: 'accused', id: 'own-coil', condition: fault, cylinder: 1, values: { part: 'coil' } }
  ],
  'bolt-only': [[1], [1, 2]].map((cylinders) => ({
    kind: 'bolt-only' as const,
    condition: doubt,
    values: { cylinders }
  })),
  none: [true, false].flatMap((alone) =>
    [true, false].map((plug) => ({ kind: 'none' as const, condition: fault, cylinder: 1, values: { alone, plug } }))
  ),
  undecided: [{ kind: 'undecided', condition: doubt, ...one }],
  sun: (['weak', 'none'] as const).map((result) => ({
    kind: 'sun',
    condition: doubt,
    cylinder: 2,
    values: { result }
  })),
  'sun-everywhere': [{ kind: 'sun-everywhere', id: 'sun', condition: doubt, values: { cylinders: 2 } }],
  'weak-several': [
    { kind: 'weak-several', condition: watch, values: { weak: [1, 3], ground: false } },
    { kind: 'weak-several', id: 'weak-ground', condition: fault, values: { weak: [1, 2, 3], ground: true } }
  ],
  'weak-everywhere': [
    { shade: true, explained: false },
    { shade: false, explained: true },
    { shade: true, explained: false, thin: true as const }
  ].map((how) => ({
    kind: 'weak-everywhere',
    id: 'weak-all',
    condition: 'watch',
    values: { cylinders: 3, ...how }
  })),
  'fails-warm': (['weak', 'none'] as const).map((result) => ({
    kind: 'fails-warm',
    condition: 'fault',
    ...one,
    values: { result }
  })),
  'fails-warm-everywhere': [
    { kind: 'fails-warm-everywhere', id: 'fails-warm-all', condition: 'fault', values: { cylinders: 3 } }
  ],
  slow: (['weak', 'none'] as const).map((result) => ({ kind: 'slow', condition: doubt, ...one, values: { result } })),
  weak: [true, false].map((x) => ({
    kind: 'weak',
    condition: watch,
    ...one,
    values: { pointsDone: x, toBolt: !x, ...(x ? { tried: true as const } : {}) }
  })),
  unsteady: [{ kind: 'unsteady', condition: watch, ...one }],
  colour: (['orange', 'red'] as const).map((colour) => ({
    kind: 'colour',
    cylinder: 1,
    condition: watch,
    values: { colour }
  })),
  misses: [{ kind: 'misses', condition: watch, ...one }],
  stray: (['lead', 'cap', 'coil'] as const).map((at) => ({
    kind: 'stray' as const,
    condition: fault,
    cylinder: 1,
    values: { at }
  })),
  damaged: (['lead', 'coil'] as const).flatMap((part) =>
    [true, false].map((corroded) => ({
      kind: 'damaged' as const,
      condition: corroded ? watch : fault,
      cylinder: 1,
      values: { part, corroded }
    }))
  ),
  explained: (['lead', 'coil', 'plug'] as const).map((part) => ({
    kind: 'explained' as const,
    condition: fault,
    cylinder: 1,
    values: { part }
  })),
  gap: [limit, { ...limit, manual: true }].map((l) => ({
    kind: 'gap',
    cylinder: 1,
    condition: watch,
    values: { gap: 5e-3 },
    limit: l
  })),
  voltage: (['fires', 'fails', 'cannot-tell'] as const).map((verdict) => ({
    kind: 'voltage',
    cylinder: 1,
    condition: doubt,
    values: { ...voltage, verdict }
  })),
  'warm-winding': [0.9, 1.1].flatMap((warmOverCold) =>
    [fault, doubt].map((condition) => ({
      kind: 'warm-winding' as const,
      id: 'hot-trigger',
      condition,
      values: { ...warm, warmOverCold }
    }))
  ),
  'open-winding': ([fault, doubt] as const).map((condition) => ({
    kind: 'open-winding' as const,
    id: 'primary',
    cylinder: 1,
    condition,
    values: row
  })),
  'shorted-winding': ([fault, doubt] as const).map((condition) => ({
    kind: 'shorted-winding' as const,
    id: 'secondary',
    cylinder: 1,
    condition,
    values: { ...row, winding: 'secondary' as const, ohms20: 3 }
  })),
  'scattered-winding': [
    {
      kind: 'scattered-winding',
      id: 'trigger',
      condition: doubt,
      values: { ...warm, scattered: true }
    }
  ],
  winding: (['sound', 'fault'] as const).map((condition) => ({
    kind: 'winding',
    id: 'primary',
    cylinder: 1,
    condition,
    values: row,
    limit: manual
  })),
  between: [
    {
      kind: 'between',
      id: 'between-primary',
      condition: doubt,
      values: {
        winding: 'primary',
        rows: [
          { cylinder: 2, ohms20: 500 },
          { cylinder: 1, ohms20: 300 }
        ]
      }
    }
  ],
  'points-gap': [0.3e-3, 0.8e-3].map((gap) => ({
    kind: 'points-gap',
    cylinder: 1,
    condition: watch,
    values: { gap },
    limit: { ...limit, id: 'spark.pointsGap', value: 0.51e-3 }
  })),
  points: [
    { kind: 'points', cylinder: 1, condition: watch, values: { ohms: 0.6, look: undefined } },
    { kind: 'points', cylinder: 1, condition: watch, values: { ohms: undefined, look: 'pitted' } }
  ],
  'rub-block': (['dry', 'worn'] as const).map((state) => ({ kind: 'rub-block', condition: watch, values: { state } })),
  timing: [
    { kind: 'timing', condition: doubt, values: { timing: -4 } },
    ...[6, -6].map(
      (off) =>
        ({
          kind: 'timing',
          condition: watch,
          values: { timing: 4, off },
          limit: { id: 'spark.timing', value: 10, provenance: 'P', manual: true }
        }) as const
    ),
    ...(['shifted', 'renewed'] as const).map(
      (through) =>
        ({
          kind: 'timing',
          condition: doubt,
          values: { timing: 15, off: 10, through },
          limit: { id: 'spark.timing', value: 5, provenance: 'P', manual: true }
        }) as const
    ),
    {
      kind: 'timing',
      condition: 'sound',
      values: { timing: 4, off: 0 },
      limit: { id: 'spark.timing', value: 4, provenance: 'P', manual: true }
    }
  ],
  missing: [{ kind: 'missing', condition: doubt, values: { cylinders: [2, 3] } }],
  good: [1, 3].map((cylinders) => ({ kind: 'good', condition: 'sound', values: { cylinders } }))
};

describe('words of spark', () => {
  it('say every fact in whole sentences, in both systems of units', () => {
    expectSpoken('spark', words, basis, examples);
    expectSpoken('spark', words, { lanyard: undefined, ignition: 'points', seen: [] }, examples);
  });
  it('call no part dear but the pack found by elimination', () => {
    const said = spoken('spark', { basis, facts: examples.part }, words, 'us').map((f) => f.sentence);
    expect(said[0]).toBe(
      'No spark anywhere: it is the power pack, by elimination. Dear: prove it with a known good one before it is bought.'
    );
    expect(said[1]).toBe('No spark: it is the power pack.');
  });
  it('give a finding the name of its fact, its cylinder and its figures', () => {
    const [f] = spoken('spark', { basis, facts: examples['warm-winding'].slice(0, 1) }, words, 'us');
    expect(f).toMatchObject({ id: 'spark.hot-trigger', station: 'spark', values: { warmOverCold: 0.9 } });
    expect(f!.sentence).toBe(
      'The trigger or sensor reads 10 % less warm than copper should: turns short when it is hot. That is a coil that dies warm and comes back cold.'
    );
  });
});
