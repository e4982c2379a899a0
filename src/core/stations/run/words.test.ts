import { describe, expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import type { RunBasis, RunFacts, Watched } from './facts.ts';
import { lapsedWords, symptomWords } from './symptom-words.ts';
import type { LapsedId, SymptomId } from './symptoms.ts';
import type { WarmingSaid } from './warming.ts';
import { sayWarming, warmingSaid } from './warming-words.ts';
import { words } from './words.ts';

const [sound, watch, fault, doubt] = ['sound', 'watch', 'fault', 'cannot-tell'] as const;
const limit = { id: 'cooling.hot', value: 363.15, provenance: 'M', manual: false, name: 'our value' } as const;
const asked = { id: 'run.idle', value: 700, provenance: 'P', manual: true, page: '1-4' } as const;
const basis: RunBasis = {
  outcome: 'ran',
  minutes: 20,
  lamp: 'came',
  smoke: 'keeps',
  leaks: 'oil',
  strokes: 'two',
  injected: false
};
const bare: RunBasis = {
  outcome: undefined,
  minutes: undefined,
  lamp: undefined,
  smoke: undefined,
  leaks: undefined,
  strokes: undefined,
  injected: false
};
const run: Watched = { label: 'Run 1', minutes: 12, samples: 8, limit };
const logged: Watched = { ...run, hottest: { temperature: 340, seconds: 245 }, gap: 300 };

const base = { spot: 'head', limit, stopped: false, samples: 8 } as const;
const fit = { plateau: 350, low: 345, high: 355, tau: 240, sigma: 0.8 } as const;
const open = { plateau: 370, low: 345, tau: 240, sigma: 0.8 } as const;
const warmings: readonly WarmingSaid[] = [
  { ...base, state: 'few' },
  { ...base, state: 'few', samples: 3 },
  { ...base, state: 'odd', jump: { before: 330, now: 390 } },
  { ...base, state: 'over', hottest: 365 },
  { ...base, state: 'will-pass', race: { now: 350, rate: 0.4, passes: true } },
  { ...base, state: 'will-pass', race: { now: 350, rate: 0.4, passes: false } },
  { ...base, state: 'will-pass', stopped: true, race: { now: 350, rate: 0.4, passes: true } },
  { ...base, state: 'will-pass', fit: { ...fit, low: 364, high: 380 }, left: 40 },
  { ...base, state: 'will-pass', fit: { ...fit, low: 364, high: 380 }, left: 400 },
  { ...base, state: 'will-pass', fit: { ...fit, low: 364, high: 380 } },
  { ...base, state: 'may-pass', fit: open, unresolved: true, left: 300 },
  { ...base, state: 'open', fit: open, unresolved: true },
  { ...base, state: 'may-pass', fit: { ...fit, high: 366 }, left: 300 },
  { ...base, state: 'settles', fit },
  { ...base, state: 'steady', steady: 338 }
];
const everyWarming = warmings.flatMap((w) => [w, { ...w, stopped: true }, { ...w, opened: 245 }]);

const examples: Examples<RunFacts> = {
  end: [true, false].map((silent) => ({
    kind: 'end',
    condition: doubt,
    values: { label: 'Run 1', minutes: 4, silent }
  })),
  heat: everyWarming.flatMap((warming) => [
    { kind: 'heat', condition: watch, values: { run, warming, doubted: false } },
    { kind: 'heat', condition: doubt, values: { run: logged, warming, doubted: true } }
  ]),
  'heat-through': [
    { kind: 'heat-through', condition: sound, values: { run, warming: warmings[0]!, at: 335, seconds: 1080 } }
  ],
  odd: [1, 3].map((alone) => ({ kind: 'odd', condition: doubt, values: { run, alone } })),
  banks: (['port', 'starboard'] as const).flatMap((hotter) => [
    { kind: 'banks', condition: watch, values: { run, hotter, by: 12, warming: false } },
    { kind: 'banks', condition: doubt, values: { run, hotter, by: 12, warming: true } }
  ]),
  cold: [{ kind: 'cold', condition: watch, values: { run: logged, hottest: 310 } }],
  beside: (['same', 'cooler', 'hotter'] as const).map((verdict) => ({
    kind: 'beside',
    condition: sound,
    values: { run, beside: { verdict, before: 340, after: 335 }, labels: ['Run 1', 'Run 2'] }
  })),
  'too-fast': (['muffs', 'tank'] as const).map((source) => ({
    kind: 'too-fast',
    condition: fault,
    values: { most: 3200, cap: 1500, source, stopped: source === 'tank', label: 'Run 1' }
  })),
  charges: [{ kind: 'charges', condition: sound, values: { volts: 14.1, rpm: 1800 } }],
  'charge-open': [{ volts: 12.4 }, { volts: 12.4, rpm: 800 }].map((values) => ({
    kind: 'charge-open',
    condition: doubt,
    values
  })),
  failed: [{}, { cause: 'no fuel.' }, { mended: true as const }].map((values) => ({
    kind: 'failed',
    condition: fault,
    values
  })),
  'stopped-open': [{}, { reason: 'temperature' }, { reason: 'other' }].map((values) => ({
    kind: 'stopped-open',
    condition: fault,
    values
  })),
  'stopped-found': [{ kind: 'stopped-found', condition: watch, values: { cause: 'x'.repeat(120) } }],
  'stopped-shown': [true, false].map((place) => ({ kind: 'stopped-shown', condition: watch, values: { place } })),
  lamp: [{}, { notHeat: 'cool' as const }, { notHeat: 'too-soon' as const }, { worked: true as const }].map(
    (values) => ({
      kind: 'lamp',
      condition: fault,
      values
    })
  ),
  smoke: [{}, { plugs: 'wet' as const }, { plugs: 'dry' as const }, { rich: { mix: 35, asked: 50 } }].map((values) => ({
    kind: 'smoke',
    condition: fault,
    values
  })),
  leaks: [{}, { mended: true as const }, { placed: true as const }].map((more) => ({
    kind: 'leaks',
    condition: fault,
    values: { what: 'fuel', ...more }
  })),
  'leak-at': (
    [
      ['fuel', 'hose', 'hose'],
      ['fuel', 'filter', 'filter'],
      ['fuel', 'pump', 'pump'],
      ['fuel', 'carburettor', 'bowl'],
      ['oil', 'case', 'case'],
      ['oil', 'cover', 'part'],
      ['oil', 'seal', 'part'],
      ['water', 'block', 'part']
    ] as const
  ).map(([what, at, job]) => ({
    kind: 'leak-at' as const,
    id: `leak-${job}`,
    condition: 'fault' as const,
    values: { what, at, job }
  })),
  'leak-untold': [{ kind: 'leak-untold', condition: 'cannot-tell', values: { at: 'pump' } }],
  noise: (['head', 'valves', 'flywheel', 'leg'] as const).flatMap((place) =>
    [true, false].map((explained) => ({
      kind: 'noise' as const,
      condition: 'fault' as const,
      values: { place, explained }
    }))
  ),
  air: [{ kind: 'air', condition: 'fault', values: {} }],
  gears: [
    { kind: 'gears', condition: fault, values: {} },
    ...(['slips', 'mended'] as const).map((hub) => ({ kind: 'gears', condition: fault, values: { hub } }) as const)
  ],
  'gears-again': [{ kind: 'gears-again', condition: fault, values: {} }],
  symptom: (Object.keys(symptomWords) as SymptomId[]).flatMap((symptom) =>
    [
      { explained: false, repeated: true },
      { explained: true, repeated: false },
      { explained: false, repeated: false, sparks: true as const }
    ].map((x) => ({
      kind: 'symptom' as const,
      condition: fault,
      values: { symptom, at: '2026-05-02T08:00:00.000Z', ...x }
    }))
  ),
  lapsed: (Object.keys(lapsedWords) as LapsedId[]).map((lapsed) => ({
    kind: 'lapsed',
    condition: fault,
    values: { lapsed, was: lapsed === 'stopped' ? 'noise' : 'oil' }
  })),
  moved: (['plug', 'lead', 'coil'] as const).map((part) => ({
    kind: 'moved' as const,
    id: `moved-${part}`,
    cylinder: 2,
    condition: fault,
    values: { part }
  })),
  'no-work': [{ kind: 'no-work', cylinder: 2, condition: fault, values: {} }],
  pulls: [{ kind: 'pulls', condition: watch, values: { pulls: 14 } }],
  'idle-far': (['fast', 'slow'] as const).map((far) => ({
    kind: 'idle-far',
    condition: watch,
    values: { idle: 3000, far }
  })),
  'idle-alone': [{ kind: 'idle-alone', condition: doubt, values: { idle: 720 } }],
  idle: (['under', 'over', 'right'] as const).map((is) => ({
    kind: 'idle',
    condition: watch,
    values: { idle: 720, asked, is }
  })),
  'plug-wet': [{ kind: 'plug-wet', condition: fault, values: {} }],
  'short-of-fuel': [{ kind: 'short-of-fuel', condition: watch, values: {} }],
  stood: [{ kind: 'stood', condition: doubt, values: { months: 9 } }],
  short: [{}, { minutes: 2 }].map((values) => ({ kind: 'short', condition: doubt, values })),
  reopened: [{ kind: 'reopened', condition: doubt, values: {} }],
  drying: (['oil', 'long', 'next-day'] as const).map((left) => ({
    kind: 'drying',
    condition: doubt,
    values: { left }
  })),
  ran: [{ smoked: true }, { smoked: false, minutes: 20 }].map((values) => ({ kind: 'ran', condition: sound, values }))
};

describe('a run', () => {
  it('every fact is said in whole sentences, measured or not', () => {
    expectSpoken('run', words, basis, examples);
    expectSpoken('run', words, bare, examples);
  });
  it('says what to do while it runs, and asks nobody to stop what stands', () => {
    for (const w of warmings) {
      const [now, over] = [warmingSaid(w, 'metric'), warmingSaid({ ...w, stopped: true }, 'metric')];
      if (w.state === 'over') expect([now, over].map((s) => /Stop/.test(s))).toEqual([true, false]);
      if (w.state === 'will-pass' && !w.race) expect([now, over].map((s) => /^Stop it/.test(s))).toEqual([true, false]);
      if (['settles', 'steady', 'few', 'open'].includes(w.state)) expect(now).not.toMatch(/[Ss]top/);
    }
  });
  it('says the thermostat before the curve that came after it', () => {
    expect(sayWarming({ ...base, state: 'steady', steady: 338, opened: 245 }, 'metric').found).toMatch(
      /^The thermostat opened at about 4:05\. Steady at 65 °C, under/
    );
  });
});
