import { describe, expect, it } from 'vitest';
import { expectSpoken, type Examples } from '../../../../test/words.ts';
import { spoken } from '../../findings/fact.ts';
import { PSI } from '../../units/factors.ts';
import type { Aged, FuelFacts } from './facts.ts';
import { fuelLine } from './line.ts';
import { lineWords } from './line-words.ts';
import type { LineFault } from './line.ts';
import type { LineVacuum } from './vacuum.ts';
import { words } from './words.ts';

const [sound, watch, fault, doubt] = ['sound', 'watch', 'fault', 'cannot-tell'] as const;
const limit = { id: 'fuel.age', value: 12, provenance: 'C', manual: false, name: 'house rule' } as const;
const aged: Aged = { months: 14, assumed: true, limit, kind: 'ethanol', stabilised: 'no' };
const bare: Aged = { months: undefined, assumed: false, limit, kind: undefined, stabilised: undefined };
const vacuumLimit = { id: 'fuel.vacuum', value: 8500, provenance: 'M', manual: false, name: 'our value' } as const;
const line = { own: 20_000, atSpeed: true, portable: undefined, open: undefined, limit: vacuumLimit } as const;
const read = (verdict: LineVacuum['verdict'], more: Partial<LineVacuum> = {}): { read: LineVacuum; speed: number } => ({
  read: { ...line, verdict, ...more },
  speed: 20_000
});
const premix = { id: 'fuel.premix', value: 50, provenance: 'P', manual: true, page: '3-1' } as const;
const asked = { ratio: 40, wanted: premix, richer: true, school: 'First tank: one step more oil' };
const parts = fuelLine({ supply: 'bulb', fuelSystem: 'carburettor' });
const part = (id: string) => parts.find((p) => p.id === id)!;

const examples: Examples<FuelFacts> = {
  fresh: [{ kind: 'fresh', condition: sound, values: {} }],
  'age-doubted': [{ kind: 'age-doubted', condition: 'cannot-tell', values: { months: 14 } }],
  'rail-pump': [
    { kind: 'rail-pump', condition: fault, values: { volts: true } },
    { kind: 'rail-pump', condition: 'cannot-tell', values: { volts: false } }
  ],
  rail: (
    [
      ['fault', 'low', 100e3],
      ['sound', 'good', 280e3],
      ['cannot-tell', 'close', 201e3],
      ['cannot-tell', 'high-once', 900e3],
      ['fault', 'high', 900e3],
      ['cannot-tell', 'weak-battery', 150e3],
      ['cannot-tell', 'no-volts', 0],
      ['cannot-tell', 'cannot-tell', 500e3]
    ] as const
  ).map(([condition, verdict, pressure]) => ({
    kind: 'rail',
    condition,
    values: {
      pressure,
      verdict,
      ...(verdict === 'cannot-tell'
        ? {}
        : { limit: { id: 'fuel.rail', value: 200e3, provenance: 'M', manual: false, name: 'our value, from memory' } })
    }
  })),
  injector: [{ kind: 'injector', cylinder: 2, condition: fault, values: {} }],
  emptied: [{ kind: 'emptied', condition: sound, values: {} }],
  'age-unknown': [true, false].map((jar) => ({ kind: 'age-unknown', condition: doubt, values: { ...bare, jar } })),
  'age-old': [aged, { ...aged, assumed: false }].map((values) => ({ kind: 'age-old', condition: fault, values })),
  'age-doubtful': [{ kind: 'age-doubtful', condition: watch, values: aged }],
  'age-good': (['fresh', 'use'] as const).map((verdict) => ({
    kind: 'age-good',
    condition: sound,
    values: { ...aged, verdict }
  })),
  'left-old': [{ kind: 'left-old', condition: fault, values: { ...aged, places: ['tank', 'line and filter'] } }],
  carburettor: [undefined, 5].map((idle) => ({
    kind: 'carburettor',
    condition: watch,
    values: { idle, school: { topic: 'carburettor', choice: 'age' } }
  })),
  'jar-water': [{ look: 'layers' }, { look: undefined, share: 0.1 }].map((values) => ({
    kind: 'jar-water',
    condition: fault,
    values
  })),
  'jar-cloudy': [
    { kind: 'jar-cloudy', condition: watch, values: { look: 'cloudy', stood: false } },
    { kind: 'jar-cloudy', condition: fault, values: { look: 'cloudy', stood: true } }
  ],
  'jar-dark': [true, false].map((injected) => ({
    kind: 'jar-dark' as const,
    condition: fault,
    values: { look: 'dark', injected }
  })),
  'jar-clear': [{ kind: 'jar-clear', condition: sound, values: { look: 'clear' } }],
  air: (['pickup', 'coupling', 'hose', 'filter', 'pump'] as const).map((at) => ({
    kind: 'air',
    condition: fault,
    values: { at }
  })),
  'bulb-before': (['flat', 'soft'] as const).map((was) => ({
    kind: 'bulb-before' as const,
    id: 'bulb' as const,
    condition: 'cannot-tell' as const,
    values: { was }
  })),
  'bubbles-before': [{ kind: 'bubbles-before', condition: 'cannot-tell', values: {} }],
  part: [
    { kind: 'part', condition: fault, values: { part: part('tank'), faults: ['tank-dirt'] } },
    { kind: 'part', condition: fault, values: { part: part('hose'), faults: ['hose-bubbles'] } },
    { kind: 'part', condition: watch, values: { part: part('tank'), faults: ['level-empty'] } },
    { kind: 'part', condition: fault, values: { part: part('bulb'), faults: ['bulb-flat'] } },
    { kind: 'part', condition: watch, values: { part: part('bulb'), faults: ['bulb-soft'] } },
    { kind: 'part', condition: fault, values: { part: part('bowl'), faults: ['bowlLook-gummed', 'jets-gummed'] } }
  ],
  'bulb-firm': [{ kind: 'bulb-firm', condition: sound, values: {} }],
  'vacuum-high': [
    { kind: 'vacuum-high', condition: fault, values: { ...read('high', { where: 'vent', open: 2000 }), lift: 1 } },
    { kind: 'vacuum-high', condition: fault, values: read('high', { where: 'tank-side', portable: 2000 }) },
    { kind: 'vacuum-high', condition: fault, values: read('high', { where: 'engine-side', portable: 22_000 }) },
    { kind: 'vacuum-high', condition: fault, values: read('high', { where: 'somewhere' }) },
    { kind: 'vacuum-high', condition: fault, values: read('high', { where: 'somewhere', ran: 'fine' }) },
    { kind: 'vacuum-high', condition: fault, values: read('high', { where: 'somewhere', ran: 'same' }) },
    { kind: 'vacuum-high', condition: fault, values: { ...read('high', { where: 'somewhere' }), idle: 1000 } },
    {
      kind: 'vacuum-high',
      condition: fault,
      values: { read: { ...line, own: undefined, portable: 20_000, verdict: 'high', where: 'engine-side' } }
    }
  ],
  'vacuum-before': [{ kind: 'vacuum-before', condition: doubt, values: read('high') }],
  'vacuum-idle-only': [{ kind: 'vacuum-idle-only', condition: doubt, values: { ...read('idle-only'), idle: 900 } }],
  'vacuum-other-tank': [
    {
      kind: 'vacuum-other-tank',
      condition: doubt,
      values: { read: { ...line, own: undefined, open: 900, verdict: 'close' } }
    }
  ],
  'vacuum-contradicted': (['idle', 'open', 'portable'] as const).map((against) => ({
    kind: 'vacuum-contradicted',
    condition: doubt,
    values: { ...read('contradicted', { against, open: 20_000, portable: 20_000 }), idle: 20_000 }
  })),
  'vacuum-close': [{ kind: 'vacuum-close', condition: doubt, values: read('close') }],
  'vacuum-low': [{ kind: 'vacuum-low', condition: sound, values: read('low') }],
  'tank-pressure': (['low', 'high', 'good'] as const).map((verdict) => ({
    kind: 'tank-pressure',
    condition: verdict === 'good' ? sound : fault,
    values: { pressure: 3 * PSI, verdict }
  })),
  dies: [
    { kind: 'dies', condition: doubt, values: { dies: 'seconds', left: ['closed tank vent'] } },
    { kind: 'dies', condition: doubt, values: { dies: 'minutes', left: ['a', 'b', 'c', 'd'] } },
    { kind: 'dies', condition: doubt, values: { dies: undefined, left: ['gummed jet', 'float or needle'] } },
    ...(['tank', 'pump', 'carburettor'] as const).map((missed) => ({
      kind: 'dies' as const,
      condition: doubt,
      values: { dies: 'minutes', left: [], missed }
    }))
  ],
  starved: [{ kind: 'starved', condition: fault, values: { part: 'vent', label: 'closed tank vent' } }],
  'mix-none': [{ kind: 'mix-none', condition: fault, values: {} }],
  'mix-unsaid': [{}, { way: true as const }].map((values) => ({ kind: 'mix-unsaid', condition: doubt, values })),
  'oil-tank-unsaid': [{ kind: 'oil-tank-unsaid', condition: doubt, values: {} }],
  'oil-tank-empty': [{ kind: 'oil-tank-empty', condition: fault, values: {} }],
  'oil-tank-water': [{ kind: 'oil-tank-water', condition: fault, values: {} }],
  'oil-tank-low': [{ kind: 'oil-tank-low', condition: watch, values: {} }],
  'oil-tank-full': [true, false].map((moves) => ({ kind: 'oil-tank-full', condition: sound, values: { moves } })),
  'oil-moves-unsaid': [{ kind: 'oil-moves-unsaid', condition: doubt, values: {} }],
  'oil-still': [{ kind: 'oil-still', condition: fault, values: {} }],
  'oil-moves': [{ kind: 'oil-moves', condition: sound, values: {} }],
  'mix-alone': [{ kind: 'mix-alone', condition: doubt, values: { mix: 50 } }],
  'mix-rich': [{ kind: 'mix-rich', condition: watch, values: { mix: 16, asked } }],
  'mix-lean': [{ kind: 'mix-lean', condition: fault, values: { mix: 80, asked: { ...asked, richer: false } } }],
  'mix-good': [30, 40].map((mix) => ({ kind: 'mix-good', condition: sound, values: { mix, asked } })),
  floods: [true, false].map((slow) => ({ kind: 'floods', condition: slow ? watch : fault, values: { slow } })),
  needle: ([sound, doubt, fault] as const).map((condition) => ({
    kind: 'needle',
    condition,
    values: { from: 10 * PSI, to: 9 * PSI, minutes: 1, lost: 0.1 }
  }))
};

describe('the fuel', () => {
  it('every fact is said in whole sentences, measured or not', () => {
    expectSpoken('fuel', words, {}, examples);
  });
  it('every fault along the line is said under the name of its part', () => {
    for (const f of Object.keys(lineWords) as LineFault[]) {
      const [said] = spoken(
        'fuel',
        { basis: {}, facts: [{ kind: 'part', condition: fault, values: { part: part('filter'), faults: [f] } }] },
        words,
        'metric'
      );
      expect(said!.sentence).toBe(`Filters: ${lineWords[f]}.`);
    }
  });
  it('says what to add in figures that follow from the two ratios', () => {
    const [said] = spoken(
      'fuel',
      { basis: {}, facts: [{ kind: 'mix-lean', condition: fault, values: { mix: 80, asked } }] },
      words,
      'metric'
    );
    // A litre at 40:1 holds 25 mL of oil, at 80:1 half of it.
    expect(said!.sentence).toMatch(/Add 13 mL to every litre\.$/);
  });
});
