import { expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { spoken } from '../../findings/fact.ts';
import type { Dip } from './position.ts';
import type { OilBasis, OilFacts } from './facts.ts';
import { weightWords } from './rival-words.ts';
import type { WeightId } from './rivals.ts';
import { words } from './words.ts';

const dip: Dip = { mark: 'above', at: 0.016, taken: '2026-05-02T08:00:00.000Z' };
const basis: OilBasis = {
  dips: [dip, { mark: 'none', taken: dip.taken }],
  look: 'thin',
  lookAnswer: 'thin',
  smell: 'fuel',
  tilted: true,
  volume: { beyond: -120e-6, toMiddle: 300e-6, uncertainty: 40e-6 }
};
const bare: OilBasis = {
  dips: [],
  look: undefined,
  lookAnswer: undefined,
  smell: undefined,
  tilted: false,
  volume: undefined
};
const fault = {
  id: 'oil.dilution',
  value: 0.04,
  provenance: 'M',
  manual: false,
  name: 'our value, from memory'
} as const;
const lab = { used: 8.4, fresh: 10.5, share: 0.03, low: 0.02, high: 0.045 };
const weights = (Object.keys(weightWords) as WeightId[]).map((id, k) => ({ id, ratio: k % 2 ? 8 : 1 / 4 }));
const above = [
  { weights, fresh: 10.5, fault, share: 0.05, viscosity: 7.2, beyond: 150e-6 },
  { weights, fresh: 10.5, fault }
];
const poured = { poured: 3.2e-3, cups: 4, asked: 3e-3, over: 0.2e-3 };
const [doubt, watch, sound] = ['cannot-tell', 'watch', 'sound'] as const;

const examples: Examples<OilFacts> = {
  unfilled: (['drained', 'new'] as const).map((why) => ({ kind: 'unfilled', condition: watch, values: { why } })),
  undipped: [
    { kind: 'undipped', condition: doubt, values: { poured: 0.3e-3, drawn: false } },
    { kind: 'undipped', condition: doubt, values: { poured: 0, drawn: true } }
  ],
  'came-over': [{ kind: 'came-over', condition: doubt, values: { volume: 6e-3, sump: 4e-3 } }],
  'level-unread': [{ kind: 'level-unread', condition: doubt, values: {} }],
  level: [{ kind: 'level', condition: doubt, values: {} }],
  early: [{ kind: 'early', condition: doubt, values: {} }],
  'dip-once': [{ kind: 'dip-once', condition: doubt, values: { dip } }],
  'dips-differ': [{ kind: 'dips-differ', condition: doubt, values: {} }],
  'dips-between': [{ kind: 'dips-between', condition: sound, values: {} }],
  'dips-under': [
    { kind: 'dips-under', condition: 'fault', values: { mark: 'below', toMiddle: 300e-6 } },
    { kind: 'dips-under', condition: 'fault', values: { mark: 'below', fell: true } },
    { kind: 'dips-under', condition: 'fault', values: { mark: 'none' } }
  ],
  'milky-before': (['unseen', 'run-first', 'after-run'] as const).map((stage) => ({
    kind: 'milky-before',
    condition: stage === 'run-first' ? watch : doubt,
    values: { stage }
  })),
  'level-milky': (['below', 'above'] as const).map((mark) => ({
    kind: 'level-milky',
    condition: watch,
    values: { mark }
  })),
  diluted: above.map((values) => ({ kind: 'diluted', condition: watch, values })),
  overfilled: above.map((values) => ({ kind: 'overfilled', condition: watch, values })),
  'above-open': above.map((values) => ({ kind: 'above-open', condition: doubt, values: { ...values, weights: [] } })),
  milky: [{ kind: 'milky', condition: 'fault', values: {} }],
  look: [{ kind: 'look', condition: sound, values: {} }],
  pressure: (['good', 'low', 'close', 'speed', 'contradicted'] as const).map((verdict) => ({
    kind: 'pressure',
    condition: verdict === 'low' ? ('fault' as const) : doubt,
    values: {
      pressure: 200e3,
      at: '2026-05-02T08:00:00.000Z',
      verdict,
      ...(verdict === 'speed'
        ? {}
        : {
            rpm: 3000,
            wanted: {
              id: 'oil.pressure' as const,
              value: 207e3,
              provenance: 'C' as const,
              manual: false,
              name: 'common practice'
            }
          })
    }
  })),
  'diluted-before': [{ kind: 'diluted-before', condition: doubt, values: {} }],
  'thin-before': [{ kind: 'thin-before', condition: doubt, values: {} }],
  thin: [{ kind: 'thin', condition: watch, values: {} }],
  smell: (['fuel', 'faint'] as const).map((smell) => ({ kind: 'smell', condition: doubt, values: { smell } })),
  burnt: [{ kind: 'burnt', condition: watch, values: {} }],
  'laboratory-alone': [{ kind: 'laboratory-alone', condition: doubt, values: { used: 8.4 } }],
  laboratory: (['thicker', 'fault', 'watch', 'fresh', 'close'] as const).map((verdict) => ({
    kind: 'laboratory',
    condition: doubt,
    values: { lab: { ...lab, thicker: 0.12 }, fault, verdict }
  })),
  residue: [0, 2].map((open) => ({
    kind: 'residue',
    condition: watch,
    values: { made: 1, share: 0.15, measured: open > 0, left: 0.003, open, target: 0.002, litres: 6.2, cost: 40 }
  })),
  'poured-over': [true, false].map((dipped) => ({
    kind: 'poured-over',
    condition: watch,
    values: { ...poured, dipped }
  })),
  'poured-short': [{ kind: 'poured-short', condition: doubt, values: { ...poured, over: -0.4e-3, dipped: false } }],
  'poured-as-asked': [{ kind: 'poured-as-asked', condition: doubt, values: { ...poured, over: 0, dipped: false } }],
  filter: [{ kind: 'filter', condition: 'fault', values: {} }]
};

it('every fact of the engine oil is said in whole sentences, measured or not', () => {
  expectSpoken('oil', words, basis, examples);
  expectSpoken('oil', words, bare, examples);
});

it('each rival is told by what speaks for it alone', () => {
  const facts = (['diluted', 'overfilled'] as const).map((kind) => ({
    kind,
    condition: watch,
    values: { ...above[1]!, weights: [{ id: 'risen', ratio: 8 } as const, { id: 'body', ratio: 1 / 2 } as const] }
  }));
  const [diluted, overfilled] = spoken('oil', { basis, facts }, words, 'us').map((f) => f.sentence);
  expect([diluted!.includes(weightWords.risen), diluted!.includes(weightWords.body)]).toEqual([true, false]);
  expect([overfilled!.includes(weightWords.risen), overfilled!.includes(weightWords.body)]).toEqual([false, true]);
});
