import { expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { spoken } from '../../findings/fact.ts';
import { PSI } from '../../units/factors.ts';
import type { CaseResult, StageTest } from './case-test.ts';
import type { GearBasis, GearFacts } from './facts.ts';
import { words } from './words.ts';

const most = {
  id: 'gear.casePressure',
  value: 15 * PSI,
  provenance: 'C',
  manual: false,
  name: 'common practice'
} as const;
const basis: GearBasis = {
  first: 'water',
  look: 'metallic',
  magnet: 'slivers',
  tested: 'held',
  allowed: 2e-6,
  most
};
const bare: GearBasis = {
  first: undefined,
  look: undefined,
  magnet: undefined,
  tested: undefined,
  allowed: 2e-6,
  most
};
const capacity = { id: 'gear.capacity', value: 500e-6, provenance: 'P', manual: true, page: '6-2' } as const;
const gearWater = { topic: 'gearWater', choice: 'test' } as const;
const magnetMetal = { topic: 'magnetMetal', choice: 'keep' } as const;
const readings = [
  { at: '2026-05-02T08:00:00.000Z', minutes: 0, pressure: 4 * PSI },
  { at: '2026-05-02T08:10:00.000Z', minutes: 10, pressure: 3.5 * PSI, temperature: 293 }
];
const stage: StageTest = { stage: 'low', readings, minutes: 10, step: 0.5 * PSI, verdict: 'begun' };
const leak = { low: 3e-6, high: 2e-5 };
const rate = { low: 0, high: 10, consistent: true } as unknown as NonNullable<StageTest['rate']>;
const stages: StageTest[] = [
  stage,
  { ...stage, verdict: 'odd' },
  { ...stage, verdict: 'odd', again: true },
  { ...stage, verdict: 'odd', rate: { ...rate, high: -3 } },
  { ...stage, verdict: 'leaks', leak, volume: 500e-6 },
  { ...stage, verdict: 'held', smallest: 1e-6 },
  { ...stage, verdict: 'hold' },
  { ...stage, verdict: 'hold', smallest: 3e-6, holdFor: 6.4, leak },
  { ...stage, verdict: 'hold', smallest: 3e-6, leak },
  { ...stage, stage: 'vacuum', verdict: 'hold', smallest: 3e-6, leak, onLimit: true },
  { ...stage, verdict: 'hold', smallest: 3e-6, leak, onLimit: true }
];
const result = (verdict: CaseResult['verdict']): CaseResult => ({
  stages: { low: 'leaks', high: 'missing', vacuum: 'open' },
  open: ['low', 'high', 'vacuum'],
  bubbles: false,
  opened: false,
  verdict
});
const [doubt, watch, fault, sound] = ['cannot-tell', 'watch', 'fault', 'sound'] as const;
const drained = { drained: 300e-6, capacity };
const pumped = { poured: 300e-6, asked: 500e-6, hole: undefined };
const frost = {
  kind: 'salt',
  water: 20e-6,
  needs: 2e-6,
  air: 100e-6,
  freezesAt: 271,
  coldest: 268
} as const;

const examples: Examples<GearFacts> = {
  'water-before': [true, false].map((washers) => ({
    kind: 'water-before',
    condition: doubt,
    values: { washers, school: gearWater }
  })),
  'water-washers': [{ kind: 'water-washers', condition: doubt, values: { school: gearWater } }],
  'water-held': [{ kind: 'water-held', condition: watch, values: {} }],
  water: [
    { kind: 'water', condition: fault, values: { washers: true, school: gearWater } },
    { kind: 'water', condition: fault, values: { washers: false, school: gearWater, caught: 20e-6 } },
    { kind: 'water', condition: fault, values: { washers: false, school: gearWater, caught: 20e-6, share: 0.04 } },
    { kind: 'water', condition: fault, values: { washers: false, school: gearWater, resealed: true } }
  ],
  forecast: [{ kind: 'forecast', condition: doubt, values: {} }],
  frost: [
    { kind: 'frost', condition: fault, values: { ...frost, freezes: true } },
    {
      kind: 'frost',
      condition: watch,
      values: { ...frost, freezes: false, kind: undefined, needs: undefined, air: undefined }
    },
    { kind: 'frost', condition: watch, values: { ...frost, freezes: false, air: undefined } }
  ],
  'amount-alone': [{ kind: 'amount-alone', condition: doubt, values: { drained: 300e-6 } }],
  'amount-empty': [{ kind: 'amount-empty', condition: fault, values: drained }],
  'amount-over': [true, false].map((water) => ({
    kind: 'amount-over',
    condition: watch,
    values: { ...drained, water }
  })),
  'amount-under': [{ kind: 'amount-under', condition: watch, values: drained }],
  'amount-whole': [{ kind: 'amount-whole', condition: sound, values: drained }],
  'amount-none': [{ kind: 'amount-none', condition: fault, values: {} }],
  nothing: [{ kind: 'nothing', condition: doubt, values: {} }],
  metal: [true, false].flatMap((pieces) => [
    { kind: 'metal', condition: fault, values: { pieces, school: magnetMetal } },
    { kind: 'metal', condition: fault, values: { pieces, school: magnetMetal, gone: true } }
  ]),
  'metal-again': [true, false].map((pieces) => ({
    kind: 'metal-again',
    condition: watch,
    values: { pieces, school: magnetMetal }
  })),
  'metal-explained': [{ kind: 'metal-explained', condition: sound, values: { school: magnetMetal } }],
  'metal-shimmer': (['nothing', 'not looked at', 'no magnet'] as const).map((held) => ({
    kind: 'metal-shimmer',
    condition: watch,
    values: { school: magnetMetal, held }
  })),
  'metal-paste': [true, false].map((examined) => ({
    kind: 'metal-paste',
    condition: watch,
    values: { examined, school: magnetMetal }
  })),
  'metal-clean': [{ kind: 'metal-clean', condition: sound, values: { school: magnetMetal } }],
  burnt: [{ kind: 'burnt', condition: watch, values: {} }],
  'burnt-before': [{ kind: 'burnt-before', condition: watch, values: {} }],
  'burnt-again': [{ kind: 'burnt-again', condition: fault, values: {} }],
  stage: stages.flatMap((test) =>
    [true, false].map(
      (turned) =>
        ({
          kind: 'stage',
          id: `case-${test.stage}`,
          condition: doubt,
          values: { test, turned, bubbles: ['carrier'] }
        }) as const
    )
  ),
  bubbles: [{ kind: 'bubbles', condition: fault, values: { at: ['carrier', 'plugs'] } }],
  'case-over': [{ kind: 'case-over', condition: fault, values: { pressure: 20 * PSI } }],
  'test-held': [{ kind: 'test-held', condition: sound, values: { result: result('held') } }],
  leaked: (['unknown', 'seals', 'plugs', 'nowhere', 'inwards', 'hidden', 'not-seals', 'housing'] as const).map(
    (place) => ({
      kind: 'leaked',
      condition: fault,
      values: { result: result('leaked'), place }
    })
  ),
  'test-open': [result('said'), result('begun'), { ...result('begun'), opened: true }].map((r) => ({
    kind: 'test-open',
    condition: doubt,
    values: { result: r }
  })),
  groove: [watch, fault].map((condition) => ({ kind: 'groove', condition, values: { depth: 0.0003 } })),
  unseen: (['oil', 'magnet'] as const).map((what) => ({ kind: 'unseen', condition: doubt, values: { what } })),
  slots: (['chewed', 'stuck'] as const).map((said) => ({ kind: 'slots', condition: watch, values: { said } })),
  'stand-fill': [{ kind: 'stand-fill', condition: fault, values: {} }],
  'level-hole': (['bubbles', 'no', 'not looked at'] as const).map((said) => ({
    kind: 'level-hole',
    condition: doubt,
    values: { said }
  })),
  'poured-short': [{ kind: 'poured-short', condition: doubt, values: { ...pumped, hole: 'bubbleFree' } }],
  'poured-full': [{ kind: 'poured-full', condition: sound, values: { ...pumped, hole: 'bubbleFree' } }],
  'poured-on': [{ kind: 'poured-on', condition: doubt, values: pumped }],
  washers: [
    { kind: 'washers', condition: watch, values: { refill: 'service', washers: undefined } },
    { kind: 'washers', condition: watch, values: { refill: 'stand', washers: 'no' } }
  ],
  crack: [true, false].map((full) => ({
    kind: 'crack',
    condition: doubt,
    values: { full, school: { topic: 'gearCheck', choice: full ? 'full' : 'crack' } }
  })),
  clean: [true, false].map((dark) => ({ kind: 'clean', condition: sound, values: { dark } }))
};

it('every fact of the gear case is said in whole sentences, whatever was seen', () => {
  expectSpoken('gear', words, basis, examples);
  expectSpoken('gear', words, bare, examples);
});

it('only a leaking stage tells where it bubbles, only a held one asks for the shafts', () => {
  const said = spoken('gear', { basis, facts: examples.stage }, words, 'us');
  examples.stage.forEach(({ values: { test, turned } }, k) => {
    expect(/It bubbles at/.test(said[k]!.sentence)).toBe(test.verdict === 'leaks');
    expect(/Turn both shafts/.test(said[k]!.sentence)).toBe(test.verdict === 'held' && !turned);
  });
});
