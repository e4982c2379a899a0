import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import { caseKindSchema } from '../../src/core/engine/case-kind.ts';
import { historyItems, profileItems } from '../../src/core/engine/profile.ts';
import { reportOf } from '../../src/core/report/report.ts';
import { compressionFigures } from '../../src/core/stations/compression/figures.ts';
import { allItems, itemIds } from '../../src/core/stations/items.ts';
import { places, type Sight } from '../../src/core/stations/look/places.ts';
import { meaningOf, type PlugSight } from '../../src/core/stations/plugs/meaning.ts';
import { meaningWords } from '../../src/core/stations/plugs/meaning-words.ts';
import type { Item } from '../../src/core/items/item.ts';
import type { Reading } from '../../src/core/record/reading.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import { surveyFileSchema } from '../../src/core/survey/schema.ts';
import { Bench } from '../case.ts';

/** Any value that an item allows, "unknown" among them. */
function valueOf(item: Item): fc.Arbitrary<unknown> {
  switch (item.kind) {
    case 'choice':
      return fc.constantFrom(...item.options.map((o) => o.value));
    case 'several':
      return fc.oneof(fc.subarray(item.options.map((o) => o.value)), fc.constant('unknown'));
    case 'quantity': {
      const whole = item.dimension === 'count';
      const number = fc.double({ min: item.min, max: item.max, noNaN: true }).map((x) => (whole ? Math.round(x) : x));
      return fc.oneof({ weight: 4, arbitrary: number }, { weight: 1, arbitrary: fc.constant('unknown') });
    }
    case 'series':
      return fc.array(fc.double({ min: item.min, max: item.max, noNaN: true }), { minLength: 2, maxLength: 8 });
    case 'log':
      return fc
        .array(fc.tuple(fc.double({ min: 0, max: 900, noNaN: true }), fc.double({ min: 250, max: 420, noNaN: true })), {
          minLength: 2,
          maxLength: 40
        })
        .map((list) => {
          let at = 0;
          return {
            rows: list.length,
            seconds: list.map(([step]) => (at += step)),
            temperature: list.map(([, t]) => (t < 255 ? null : t)),
            rpm: list.map(([, t]) => t * 3)
          };
        });
    case 'photo':
      return fc.constant('a'.repeat(64));
    case 'moment':
      return fc.constantFrom('2026-05-01T08:00:00.000Z', 'unknown');
    default:
      return fc.string({ maxLength: 40 });
  }
}
const group = (items: Readonly<Record<string, Item>>): fc.Arbitrary<Record<string, unknown>> =>
  fc.record(Object.fromEntries(Object.entries(items).map(([k, item]) => [k, valueOf(item)])), { requiredKeys: [] });

const reading: fc.Arbitrary<Omit<Reading, 'id' | 'at'>> = fc.constantFrom(...itemIds).chain((what) =>
  fc
    .record({
      value: valueOf(allItems[what]),
      cylinder: fc.integer({ min: 1, max: 12 }),
      round: fc.integer({ min: 1, max: 3 }),
      volts: fc.double({ min: 0, max: 60, noNaN: true }),
      temperature: fc.double({ min: 235, max: 470, noNaN: true })
    })
    .map(({ value, cylinder, round, volts, temperature }) => ({
      what,
      value,
      round,
      ...(allItems[what].perCylinder ? { cylinder } : {}),
      conditions: { volts, temperature }
    }))
);
const survey: fc.Arbitrary<SurveyFile> = fc
  .record({
    kind: fc.constantFrom(...caseKindSchema.options),
    profile: group(profileItems),
    history: group(historyItems),
    readings: fc.array(reading, { minLength: 1, maxLength: 60 })
  })
  .map(({ kind, profile, history, readings }) => ({
    ...new Bench().survey,
    assessment: { kind, startedAt: '2026-05-02T08:00:00.000Z' },
    engine: { identity: { tag: 'Any' }, profile, history },
    readings: readings.map((r, k) => ({
      ...r,
      id: `r${k}`,
      at: new Date(Date.parse('2026-05-02T08:00:00.000Z') + k * 60_000).toISOString()
    }))
  })) as fc.Arbitrary<SurveyFile>;

/** What no judgement may hold: numbers that are none, and words that were made from what is not there. */
function oddValues(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path}: ${value}`];
  if (typeof value === 'string') return /NaN|undefined|Infinity|\[object/.test(value) ? [`${path}: ${value}`] : [];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([k, v]) => oddValues(v, `${path}.${k}`));
}

describe('whatever is recorded about whatever engine', () => {
  it('is a valid survey file, and is judged, planned and reported in whole sentences', () => {
    fc.assert(
      fc.property(survey, fc.constantFrom('us', 'metric'), (file, units) => {
        expect(surveyFileSchema.safeParse(file).error?.issues).toBeUndefined();
        const a = assess(file, new Date('2026-05-03T08:00:00.000Z'), units as 'us');
        for (const f of a.findings) {
          expect(f.sentence).toMatch(/[.!?]$/);
          expect(f.because.source.length).toBeGreaterThan(3);
        }
        expect(new Set(a.findings.map((f) => f.id)).size).toBe(a.findings.length);
        const all = [a.findings, a.holds, a.steps, a.gates, reportOf(a), compressionFigures(a.context)];
        expect(oddValues(all)).toEqual([]);
      }),
      { numRuns: 120 }
    );
  });
  it('a fault is never without a job, a hold, or the word of a specialist', () => {
    for (const [id, place] of Object.entries(places))
      for (const [value, sight] of Object.entries(place.sights) as [string, Sight][]) {
        if (sight.is !== 'fault') continue;
        const b = new Bench({ cylinders: 1 }).read(`look.${id}` as 'look.cowl', value as 'clean');
        expect([id, value, b.assessed().steps.length]).not.toEqual([id, value, 0]);
      }
    const others: [Bench, string][] = [
      [new Bench({ cylinders: 1 }).read('turn.forward', 'no'), 'linkage'],
      [new Bench({ cylinders: 1 }).read('turn.reverseLock', 'no'), 'linkage'],
      [new Bench({ cylinders: 1 }).read('plugs.read', ['cracked'], { cylinder: 1 }), 'plugs'],
      [new Bench({ cylinders: 1 }).read('plugs.hole', 'water', { cylinder: 1 }), 'empty-cylinders'],
      [new Bench({ cylinders: 1 }).read('plugs.volts', 12).read('plugs.starterDirect', 'slow'), 'starter'],
      [new Bench({ cylinders: 1 }).read('compression.leakdown', 0.5, { cylinder: 1 }), 'air-cause'],
      [new Bench({ strokes: 'four', cylinders: 1 }).read('compression.lashIn', 0, { cylinder: 1 }), 'lash'],
      [new Bench({ cylinders: 1, ignition: 'points' }).read('spark.pointsLook', 'pitted', { cylinder: 1 }), 'points']
    ];
    for (const [b, step] of others) expect(b.assessed().steps.map((s) => s.id)).toContain(step);
  });
  it('every face of a plug means something on every kind of engine', () => {
    const sights = ['normal', 'dry', 'oily', 'fuel', 'water', 'rust', 'white', 'black', 'bridged', 'cracked'] as const;
    for (const strokes of ['two', 'four', 'unknown'] as const)
      for (const fuelSystem of ['carburettor', 'direct', 'unknown'] as const)
        for (const s of sights)
          expect(meaningWords[meaningOf(s as PlugSight, { strokes, fuelSystem }).means].length).toBeGreaterThan(10);
  });
});

describe('what a hold keeps from happening', () => {
  const held = new Bench({ strokes: 'two', cylinders: 1 }, 'drowned', { submerged: 'yes', runningWhenSunk: 'yes' });
  it('cranked readings are refused; turning by hand, looking, lash and leak-down are not', async () => {
    const { refusal } = await import('../../src/core/holds/against.ts');
    const { holds } = held.judged();
    for (const what of [
      'compression.pressure',
      'compression.pulls',
      'spark.result',
      'spark.gap',
      'plugs.rpm',
      'plugs.starterDirect'
    ] as const)
      expect(refusal(holds, what)).toMatch(/Refused: Drowned while running/);
    for (const what of [
      'turn.result',
      'turn.depth',
      'look.cowl',
      'plugs.read',
      'plugs.oil',
      'compression.lashIn',
      'compression.leakdown'
    ] as const)
      expect(refusal(holds, what)).toBeUndefined();
  });
});
