import { expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { spoken } from '../../findings/fact.ts';
import { judgedBy } from '../../findings/limit.ts';
import { Bench } from '../../../../test/case.ts';
import type { PlugBasis, PlugFacts } from './facts.ts';
import { meaningWords } from './meaning-words.ts';
import type { MeaningId } from './meaning.ts';
import { words } from './words.ts';

const basis: PlugBasis = { cylinders: 2, strokes: 'two', read: [1], circuit: 'slow', direct: undefined, volts: 9.4 };
const nothing: PlugBasis = {
  cylinders: 1,
  strokes: undefined,
  read: [],
  circuit: undefined,
  direct: undefined,
  volts: undefined
};
const limit = judgedBy(new Bench().judged().context, 'plugs.gap', 0.9e-3, 'usual, from memory');
const manual = { id: 'plugs.gap', value: 1e-3, provenance: 'P', manual: true, page: '3-2' } as const;
const watch = 'watch' as const;
const doubt = 'cannot-tell' as const;
const ends = ['fuse', 'switch', 'solenoid', 'through'] as const;

const examples: Examples<PlugFacts> = {
  read: (Object.keys(meaningWords) as MeaningId[]).map((m) => ({
    kind: 'read',
    cylinder: 1,
    condition: watch,
    values: { sights: ['oily', 'black'], means: [m, 'black'] }
  })),
  cleaned: [
    { kind: 'cleaned', cylinder: 1, condition: doubt, values: { sights: ['fuel', 'black'], told: ['fuel', 'black'] } },
    { kind: 'cleaned', cylinder: 1, condition: doubt, values: { sights: ['black'], told: ['black'], alone: true } }
  ],
  hole: (['water', 'rust', 'debris', 'scored', 'holed'] as const).flatMap((seen) =>
    [{ tight: true }, { tight: false }, { tight: true, once: true as const }].map(
      (v) => ({ kind: 'hole', cylinder: 2, condition: watch, values: { seen, ...v } }) as const
    )
  ),
  'water-was': [[], [2], [1, 2]].flatMap((cylinders) =>
    [true, false].map((ran) => ({ kind: 'water-was' as const, condition: doubt, values: { cylinders, ran } }))
  ),
  gap: [limit, manual].flatMap((l) =>
    [true, false].map(
      (wide) => ({ kind: 'gap', cylinder: 1, condition: watch, values: { gap: 1.4e-3, wide }, limit: l }) as const
    )
  ),
  slow: [
    { kind: 'slow', condition: watch, values: { rpm: 120 } },
    { kind: 'slow', condition: watch, values: { volts: 9 } },
    { kind: 'slow', condition: watch, values: { rpm: 120, volts: 9 } }
  ],
  volts: [{ kind: 'volts', condition: watch, values: { volts: 9 } }],
  battery: [{ kind: 'battery', condition: watch, values: { fell: 8.8, holds: 11.1 } }],
  'starter-circuit': [undefined, ...ends].map((end) => ({
    kind: 'starter-circuit',
    condition: 'fault',
    values: { end }
  })),
  'starter-motor': [true, false].flatMap((both) =>
    (['held', 'not measured', 'unknown'] as const).map((battery) => ({
      kind: 'starter-motor' as const,
      condition: 'fault' as const,
      values: { both, battery }
    }))
  ),
  'starter-again': (['circuit', 'direct'] as const).map((tried) => ({
    kind: 'starter-again',
    condition: doubt,
    values: { tried }
  })),
  'starter-either': [{ kind: 'starter-either', condition: doubt, values: {} }],
  'starter-broken': ends.map((end) => ({ kind: 'starter-broken', condition: 'fault', values: { end } })),
  rope: (['slips', 'stuck'] as const).map((said) => ({ kind: 'rope', condition: 'fault', values: { said } })),
  order: [{ kind: 'order', condition: doubt, values: {} }],
  'no-fuel': [{ kind: 'no-fuel', condition: watch, values: {} }],
  'dry-bores': [true, false].map((always) => ({
    kind: 'dry-bores',
    condition: watch,
    values: { always, years: 6, school: { topic: 'boreOil', choice: always ? 'always' : 'years' } }
  })),
  missing: [{ kind: 'missing', condition: doubt, values: { cylinders: [2, 3] } }],
  good: [{ kind: 'good', condition: 'sound', values: {} }]
};

it('every fact of the plugs is said in whole sentences, whatever is known of the engine', () => {
  expectSpoken('plugs', words, basis, examples);
  expectSpoken('plugs', words, nothing, examples);
});

it('one plug is the plug, two have their numbers', () => {
  const facts = [examples.read[0]!];
  const said = (b: PlugBasis): string => spoken('plugs', { basis: b, facts }, words, 'us')[0]!.sentence;
  expect(said(basis)).toMatch(/^Plug 1 is /);
  expect(said(nothing)).toMatch(/^The plug is /);
});
