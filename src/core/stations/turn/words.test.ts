import { expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { spoken } from '../../findings/fact.ts';
import type { AfterSetting, ThroughLinkage, TurnBasis, TurnFacts } from './facts.ts';
import { words } from './words.ts';

const basis: TurnBasis = {
  has: { neutral: true, pinion: true },
  turns: ['locked', 'free'],
  plugs: 'out',
  shifts: { neutral: 'spins', forward: 'slips', reverse: undefined, lock: undefined },
  depths: {
    rows: [
      { cylinder: 1, depth: 0.06, n: 1, u: 0.05e-3 },
      { cylinder: 2, depth: 0.0605, n: 2, u: 0.04e-3 }
    ],
    limit: { id: 'turn.depth', value: 0.25e-3, provenance: 'M', manual: false, name: 'our value, from memory' },
    deviation: 0.05e-3
  }
};
const bare: TurnBasis = {
  ...basis,
  has: { neutral: false, pinion: false },
  turns: [],
  plugs: undefined,
  shifts: { neutral: undefined, forward: undefined, reverse: undefined, lock: undefined }
};
const part = (id: string, by: 'answer' | 'elimination') => ({ id, label: `the ${id}`, by });
const [fault, watch, doubt, sound] = ['fault', 'watch', 'cannot-tell', 'sound'] as const;

const through: readonly ThroughLinkage[] = [{}, { linkage: 'stiff' }, { linkage: 'freed' }];
const set: readonly AfterSetting[] = [{ set: true }, { set: true, rod: 'follows' }, { set: true, rod: 'slips' }];
const examples: Examples<TurnFacts> = {
  locked: [
    { kind: 'locked', condition: doubt, values: { left: ['liquid', 'the leg'], plugsFirst: true, reach: 40 } },
    { kind: 'locked', condition: fault, values: { left: ['the leg'], plugsFirst: false } },
    { kind: 'locked', condition: fault, values: { left: [], plugsFirst: false, part: part('leg', 'elimination') } },
    { kind: 'locked', condition: fault, values: { left: [], plugsFirst: false, part: part('liquid', 'answer') } }
  ],
  shifts: [{ kind: 'shifts', condition: 'sound', values: {} }],
  unturned: [
    { kind: 'unturned', condition: doubt, values: {} },
    { kind: 'unturned', condition: doubt, values: { begun: true } }
  ],
  rough: [[], ['noise', 'tight']].flatMap((felt) => [
    { kind: 'rough', condition: watch, values: { felt } } as const,
    { kind: 'rough', condition: fault, values: { felt, gritty: true } } as const,
    ...['gears', 'pinion', 'head'].map(
      (id) => ({ kind: 'rough', condition: fault, values: { felt, part: part(id, 'answer') } }) as const
    )
  ]),
  stiff: [{ kind: 'stiff', condition: watch, values: {} }],
  nobumps: [
    { kind: 'nobumps', condition: doubt, values: { valves: true } },
    ...(['in', 'out'] as const).map(
      (later) => ({ kind: 'nobumps', condition: doubt, values: { later, valves: true } }) as const
    ),
    ...[true, false].flatMap((valves) =>
      [undefined, 0].map(
        (counted) =>
          ({
            kind: 'nobumps',
            condition: doubt,
            values: { plugs: 'in', valves, ...(counted === undefined ? {} : { counted }) }
          }) as const
      )
    )
  ],
  pinion: [{ kind: 'pinion', condition: watch, values: {} }],
  again: [true, false].map((everBad) => ({ kind: 'again', condition: watch, values: { everBad, hours: 16 } })),
  'belt-was-off': (['yes', 'no', undefined] as const).map((interference) => ({
    kind: 'belt-was-off',
    condition: 'cannot-tell',
    values: { interference }
  })),
  'leg-was-off': [{ kind: 'leg-was-off', condition: 'cannot-tell', values: {} }],
  tight: [
    { kind: 'tight', condition: watch, values: { felt: ['tight'] } },
    {
      kind: 'tight',
      condition: watch,
      values: { felt: ['tight'], part: { id: 'head', label: 'bores', by: 'elimination' } }
    }
  ],
  free: [1, 2].map((running) => ({ kind: 'free', condition: sound, values: { running } })),
  'felt-only': [{ kind: 'felt-only', condition: watch, values: { felt: ['noise', 'tight'] } }],
  bumps: [3, 6, 12].map((counted) => ({ kind: 'bumps', condition: doubt, values: { counted, expected: 6 } })),
  assembled: (['stiffer', 'binds'] as const).map((said) => ({ kind: 'assembled', condition: watch, values: { said } })),
  water: ['some', 'much', 'with the oil'].map((said) => ({ kind: 'water', condition: fault, values: { said } })),
  exposed: [
    { kind: 'exposed', condition: watch, values: { spent: 1.4, inAir: 5.2, water: undefined, hours: 4 } },
    {
      kind: 'exposed',
      condition: watch,
      values: { spent: 3, inAir: 12, water: 'salt', hours: 4, stoppedAt: '2026-05-02T08:00:00.000Z' }
    }
  ],
  'belt-suspect': (['cracked', 'slack', 'oily'] as const).flatMap((is) =>
    (['yes', 'no', undefined] as const).map(
      (interference) => ({ kind: 'belt-suspect', condition: fault, values: { is, interference } }) as const
    )
  ),
  belt: (['sound', 'renewed'] as const).map((is) => ({ kind: 'belt', condition: sound, values: { is } })),
  shift: [
    { neutral: 'drags' as const, cold: true as const },
    ...(['drives', 'drags'] as const).flatMap((neutral) =>
      [...through, ...set].map((linkage) => ({ neutral, ...linkage }))
    )
  ].map((values) => ({ kind: 'shift', condition: watch, values })),
  gear: [...through, ...set].map((linkage) => ({
    kind: 'gear',
    condition: fault,
    values: { missing: ['forward', 'reverse'], ...linkage }
  })),
  slips: [
    ...(['hub', 'hub-mended', 'set', 'linkage'] as const).map((why) => ({ why })),
    ...(['follows', 'slips'] as const).map((rod) => ({ why: 'set' as const, rod })),
    { why: 'linkage' as const, hubHolds: true as const },
    ...through.map((linkage) => ({ why: 'linkage' as const, ...linkage }))
  ].map((values) => ({ kind: 'slips', condition: fault, values })),
  joint: [{ kind: 'joint', condition: fault, values: {} }],
  'start-lock': [{ kind: 'start-lock', condition: fault, values: {} }],
  'reverse-lock': through.map((values) => ({ kind: 'reverse-lock', condition: fault, values })),
  depth: [true, false].map((once) => ({
    kind: 'depth',
    cylinder: 2,
    condition: fault,
    values: { by: 0.5e-3, once }
  })),
  'depth-compression': [
    { kind: 'depth-compression', cylinder: 2, condition: watch, values: { by: 0.5e-3, loss: 0.04, passes: 0.15 } }
  ],
  'depth-odd': [false, true].map((again) => ({
    kind: 'depth-odd',
    cylinder: 3,
    condition: again ? watch : doubt,
    values: { by: 1.5e-3, others: 3, again }
  })),
  'depths-agree': [{ kind: 'depths-agree', condition: sound, values: {} }],
  'depths-scatter': [{ kind: 'depths-scatter', condition: doubt, values: { cylinders: [1, 3] } }],
  'depths-missing': [{ kind: 'depths-missing', condition: doubt, values: {} }],
  'depths-close': [{}, { figure: true as const }].map((more) => ({
    kind: 'depths-close',
    condition: doubt,
    values: { apart: 0.2e-3, ...more }
  })),
  'depth-alone': [{ kind: 'depth-alone', condition: doubt, values: {} }]
};

it('every fact of turning and shifting is said in whole sentences', () => {
  expectSpoken('turn', words, basis, examples);
  expectSpoken('turn', words, bare, examples);
});

it('a belt whose slip bends no valve is renewed without that threat', () => {
  const said = spoken('turn', { basis, facts: examples['belt-suspect'] }, words, 'us').map((f) => f.sentence);
  expect(said.filter((s) => /bends valves/.test(s))).toHaveLength(6);
  expect(said.filter((s) => !/bends valves/.test(s))).toHaveLength(3);
});
