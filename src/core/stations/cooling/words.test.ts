import { expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { spoken } from '../../findings/fact.ts';
import type { WarmingSaid } from '../run/warming.ts';
import type { CoolingBasis, CoolingFacts, PumpKnown, Unsettled } from './facts.ts';
import type { PumpMark } from './pump.ts';
import { sources, type Source } from './source.ts';
import type { Thermostat } from './thermostat.ts';
import { words } from './words.ts';

const [sound, watch, fault, doubt] = ['sound', 'watch', 'fault', 'cannot-tell'] as const;
const limit = { id: 'cooling.impeller', value: 2, provenance: 'C', manual: false, name: 'house rule, shade' } as const;
const setLimit = { id: 'cooling.set', value: 20, provenance: 'M', manual: false, name: 'our value' } as const;
const hot = { id: 'cooling.hot', value: 363.15, provenance: 'M', manual: false, name: 'our value' } as const;
const basis: CoolingBasis = { stream: 'weak', head: 333, outlet: 'clear', hot, drill: 'pumps' };
const bare: CoolingBasis = { stream: undefined, head: 320, outlet: undefined, hot, drill: undefined };
const pump: PumpKnown = {
  opened: undefined,
  marks: [],
  limit,
  setLimit,
  school: { topic: 'impeller', choice: 'climate' },
  kit: true
};
const old: PumpKnown = { ...pump, age: 3, opened: 'yes', kit: false };
const marks: PumpMark[] = [
  { mark: 'missing', count: 2 },
  { mark: 'missing', count: 1 },
  { mark: 'cracked', count: 1 },
  { mark: 'set', angle: 34.4 },
  { mark: 'backward' },
  { mark: 'spins' },
  { mark: 'grooved' },
  { mark: 'melted' }
];
const thermostat = (is: Thermostat['is'], bank?: 'port'): Thermostat => ({
  bank,
  stamp: 333,
  opens: 345,
  pan: undefined,
  is
});
const missed = [
  { stream: 'weak', stop: false },
  { stream: 'none', stop: true }
] as const;
const but: Unsettled[] = [
  { is: 'hotter', bank: 'port' },
  { is: 'unread', bank: 'starboard' },
  ...(['temperature', 'stream', 'steam', 'no-water'] as const).map((is) => ({ is }))
];
const warming: WarmingSaid = {
  state: 'may-pass',
  spot: 'head',
  limit: hot,
  stopped: false,
  samples: 9,
  fit: { plateau: 370, low: 360, tau: 300, sigma: 1 },
  unresolved: true,
  left: 200
};

const examples: Examples<CoolingFacts> = {
  screen: (['clear', 'partly', 'blocked'] as const).map((is) => ({ kind: 'screen', condition: watch, values: { is } })),
  source: (Object.keys(sources) as Source[]).map((source) => ({
    kind: 'source',
    condition: sound,
    values: { source }
  })),
  'pump-worn': [pump, old].map((p) => ({ kind: 'pump-worn', condition: fault, values: { ...p, marks } })),
  pieces: [1, 2, 3].map((missing) => ({
    kind: 'pieces',
    condition: fault,
    values: { missing, found: missing > 1 ? 'some' : undefined }
  })),
  'pump-dry': [{ kind: 'pump-dry', condition: doubt, values: old }],
  'pump-good': [{ kind: 'pump-good', condition: sound, values: old }],
  'pump-renewed': [true, false].map((pumps) => ({
    kind: 'pump-renewed',
    condition: sound,
    values: { ...old, age: 0, pumps }
  })),
  'pump-old': [{ kind: 'pump-old', condition: watch, values: old }],
  'pump-standing': [{ kind: 'pump-standing', condition: watch, values: { ...pump, standing: 6 } }],
  'pump-young': [{ kind: 'pump-young', condition: sound, values: { ...old, age: 1 } }],
  'pump-pumps': [{ kind: 'pump-pumps', condition: sound, values: pump }],
  'pump-unknown': [{ kind: 'pump-unknown', condition: doubt, values: pump }],
  strainer: [{ kind: 'strainer', condition: watch, values: {} }],
  bush: [{ kind: 'bush', condition: watch, values: {} }],
  key: [{ kind: 'key', condition: fault, values: {} }],
  'turned-back': [{ kind: 'turned-back', condition: watch, values: { school: { topic: 'backward', choice: 'turn' } } }],
  cover: [{ kind: 'cover', condition: fault, values: {} }],
  tube: [{ kind: 'tube', condition: fault, values: {} }],
  thermostat: (['shut', 'open', 'late', 'early', 'good'] as const).flatMap((is) => [
    { kind: 'thermostat', condition: fault, values: thermostat(is) },
    { kind: 'thermostat', condition: fault, values: thermostat(is, 'port') }
  ]),
  'thermostat-alone': [
    { kind: 'thermostat-alone', condition: doubt, values: { ...thermostat('cannot-tell'), stamp: undefined } }
  ],
  'thermostat-other': (['port', 'starboard'] as const).map((told) => ({
    kind: 'thermostat-other',
    condition: doubt,
    values: { told }
  })),
  passages: (['free', 'slow'] as const).flatMap((is) =>
    ([undefined, 'port'] as const).map(
      (bank) => ({ kind: 'passages', condition: is === 'slow' ? fault : sound, values: { bank, is } }) as const
    )
  ),
  'drill-backward': [{ kind: 'drill-backward', condition: fault, values: { built: undefined } }],
  'drill-nothing': [{ kind: 'drill-nothing', condition: fault, values: { built: 'no' } }],
  'drill-in-vain': [{ kind: 'drill-in-vain', condition: fault, values: { built: 'yes' } }],
  'drill-pumps': ['yes', undefined].map((built) => ({ kind: 'drill-pumps', condition: sound, values: { built } })),
  'bucket-alone': [{ kind: 'bucket-alone', condition: doubt, values: { means: [3e-5] } }],
  bucket: (['less', 'more', 'alike'] as const).map((verdict) => ({
    kind: 'bucket',
    condition: watch,
    values: { means: [3e-5, 2e-5], verdict }
  })),
  hot: [
    ...[true, false].map((doubted) => ({ kind: 'hot', condition: fault, values: { doubted } }) as const),
    { kind: 'hot', condition: fault, values: { doubted: false, bank: 'port' } }
  ],
  banks: [true, false].map((worked) => ({
    kind: 'banks',
    condition: 'watch',
    values: { hotter: 'starboard', by: 28, worked }
  })),
  early: [{ kind: 'early', condition: doubt, values: {} }],
  rising: (['weak', 'none'] as const).map((stream) => ({
    kind: 'rising',
    condition: fault,
    values: { stream, warming }
  })),
  'outlet-shut': [{ stream: 'weak' as const }, {}].map((values) => ({ kind: 'outlet-shut', condition: fault, values })),
  'outlet-cleared': [{ kind: 'outlet-cleared', condition: watch, values: {} }],
  'outlet-likely': missed.map((values) => ({ kind: 'outlet-likely', condition: doubt, values })),
  'none-outlet-clear': missed.flatMap((values) =>
    [true, false].map(
      (blown) => ({ kind: 'none-outlet-clear', condition: doubt, values: { ...values, blown } }) as const
    )
  ),
  'weak-outlet-clear': missed.map((values) => ({ kind: 'weak-outlet-clear', condition: watch, values })),
  'head-cold': missed.map((values) => ({ kind: 'head-cold', condition: doubt, values })),
  'head-warming': missed.map((values) => ({ kind: 'head-warming', condition: doubt, values })),
  'head-unread': missed.map((values) => ({ kind: 'head-unread', condition: doubt, values })),
  'not-delivering': missed.map((values) => ({ kind: 'not-delivering', condition: fault, values })),
  'missed-unsettled': but.flatMap((u) =>
    missed.map((values) => ({ kind: 'missed-unsettled' as const, condition: doubt, values: { ...values, but: u } }))
  ),
  'strong-unsettled': but.map((u) => ({ kind: 'strong-unsettled', condition: doubt, values: { but: u } })),
  strong: [true, false].map((normal) => ({ kind: 'strong', condition: sound, values: { normal } })),
  'no-indicator': [{ kind: 'no-indicator', condition: sound, values: {} }]
};

it('every fact of the cooling is said in whole sentences, measured or not', () => {
  expectSpoken('cooling', words, basis, examples);
  expectSpoken('cooling', words, bare, examples);
});

it('no stream says to stop before it says where to look; a weak one stops nobody', () => {
  const said = (k: 0 | 1): string =>
    spoken(
      'cooling',
      { basis, facts: [{ kind: 'head-unread', condition: doubt, values: missed[k] }] },
      words,
      'metric'
    )[0]!.sentence;
  expect(said(0)).not.toMatch(/Stop/);
  expect(said(1)).toMatch(/^No stream\. Stop: .* Probe the outlet/);
});
