import { describe, expect, it } from 'vitest';
import { beforeAfterOf } from '../history/compare.ts';
import { trendsOf } from '../history/trends.ts';
import type { Reading } from '../record/reading.ts';
import { contextWithWork } from '../jobs/work.ts';
import { Bench } from '../../../test/case.ts';
import { beforeAfter } from '../history/before-after.ts';
import { drawing } from './draw.ts';
import { figuresOf } from './figures.ts';
import { differ, estimateOf } from '../history/resolvable.ts';

const PSI = 6894.757;
const gauge = (name: string, more: object = {}) => ({
  name,
  resolution: PSI,
  range: 300 * PSI,
  accuracy: 0.02,
  ...more
});
const reading = (value: number, more: Partial<Reading> = {}): Reading => ({
  id: String(value),
  at: '2026-05-02T08:00:00.000Z',
  what: 'compression.pressure',
  value,
  ...more
});
const rounds = (before: number[], after: number[], more: Partial<Reading> = {}, moreAfter: Partial<Reading> = more) => {
  const b = new Bench({ strokes: 'two', cylinders: 1 });
  for (const v of before) b.read('compression.pressure', v * PSI, { cylinder: 1, ...more });
  for (const v of after) b.read('compression.pressure', v * PSI, { cylinder: 1, round: 2, ...moreAfter });
  return beforeAfter(b.judged().context)[0]!;
};

describe('mean and uncertainty of a round', () => {
  it('from repeats: the standard deviation and the rectangular step, over the root of their number', () => {
    // P: GUM (JCGM 100:2008), 4.2 and 4.3.7. Three readings 100, 102, 104: s = 2; step 1: 1/√12.
    const e = estimateOf(
      [100, 102, 104].map((v) => reading(v, { instrument: { name: 'g', resolution: 1 } })),
      'pressure'
    );
    expect(e.mean).toBe(102);
    expect(e.u).toBeCloseTo(Math.hypot(2, 1 / Math.sqrt(12)) / Math.sqrt(3), 12);
  });
  it('of a single one: what a hand repeats by', () => {
    expect(estimateOf([reading(1000 * PSI)], 'pressure').u).toBeCloseTo(Math.hypot(30 * PSI, PSI / Math.sqrt(12)), 3);
  });
  it('another instrument brings its accuracy in, the same one does not', () => {
    const e = { mean: 100, u: 1 };
    const f = { mean: 106, u: 1 };
    const with_ = (name: string) => reading(1, { instrument: { name, accuracy: 0.02, range: 200 } });
    expect(differ(e, f, with_('a'), with_('a'))).toBe(true);
    expect(differ(e, f, with_('a'), with_('b'))).toBe(false);
  });
});

describe('before and after', () => {
  it('better only where it can be told', () => {
    expect(rounds([84, 85, 84], [118, 117, 118]).verdict).toBe('better');
    expect(rounds([118, 117], [84, 85]).verdict).toBe('worse');
    expect(rounds([112], [117])).toMatchObject({
      verdict: 'cannot-tell',
      said: expect.stringMatching(/cannot be told apart/)
    });
    expect(rounds([112, 113], [118, 117]).before).toMatch(/^113 ± \d+ psi$|^112 ± \d+ psi$/);
  });
  it('not compared under another throttle, with oil, or through another adapter', () => {
    const open = { conditions: { throttle: 'open', bores: 'dry' } as const };
    expect(rounds([84], [118], open, { conditions: { throttle: 'open', bores: 'oiled' } }).verdict).toBe(
      'not-comparable'
    );
    expect(rounds([84], [118], open, { conditions: { throttle: 'shut', bores: 'dry' } }).verdict).toBe(
      'not-comparable'
    );
    expect(
      rounds(
        [84],
        [118],
        { ...open, instrument: gauge('g') },
        { ...open, instrument: gauge('g', { adapterVolume: 1e-5 }) }
      ).verdict
    ).toBe('not-comparable');
    expect(rounds([84], [118], open).verdict).toBe('better');
  });
  it('words are the same or changed, and an unknown is a word', () => {
    const b = new Bench().read('cooling.screen', 'unknown').read('cooling.screen', 'clear', { round: 2 });
    expect(beforeAfter(b.judged().context)[0]).toMatchObject({ before: 'unknown', verdict: 'changed' });
  });
});

describe('figures of the report', () => {
  const bars = new Bench({ strokes: 'two', cylinders: 2 })
    .psi([
      [1, 84],
      [2, 118]
    ])
    .read('compression.pressure', 116 * PSI, { cylinder: 1, round: 2 });
  it('bars: both rounds of each cylinder, on the sheet, from nothing up', () => {
    const [f] = figuresOf(bars.assessed());
    expect(f).toMatchObject({
      kind: 'bars',
      bars: [
        { label: '1', first: 84, last: 116 },
        { label: '2', first: 118 }
      ]
    });
    const d = drawing(f!);
    expect(d.rects.length).toBe(3);
    for (const r of d.rects) {
      expect(r.x).toBeGreaterThanOrEqual(40);
      expect(r.x + r.w).toBeLessThanOrEqual(470);
      expect(r.y + r.h).toBeCloseTo(144, 6);
    }
    const [a, b] = d.rects;
    expect(b!.h / a!.h).toBeCloseTo(116 / 84, 6);
    expect(b!.x).toBeGreaterThan(a!.x + a!.w);
  });
  it('draws the readings that are judged: pulls too, and oiled bores never beside dry ones', () => {
    const dry = { throttle: 'open', bores: 'dry' } as const;
    const b = new Bench({ strokes: 'two', cylinders: 3 });
    for (const [cylinder, psi] of [
      [1, 114],
      [2, 112],
      [3, 71]
    ] as const)
      b.read(
        'compression.pulls',
        [0.6, 0.9, 1].map((x) => x * psi * PSI),
        { cylinder, conditions: dry }
      );
    b.read('compression.pressure', 76 * PSI, { cylinder: 3, conditions: { throttle: 'open', bores: 'oiled' } });
    const [f] = figuresOf(b.assessed());
    expect(f?.kind === 'bars' && f.bars.map((x) => [x.label, x.first])).toEqual([
      ['1', 114],
      ['2', 112],
      ['3', 71]
    ]);
  });
  it('no figure of nothing, of unknowns, or of two points', () => {
    expect(figuresOf(new Bench().assessed())).toEqual([]);
    expect(figuresOf(new Bench().read('compression.pressure', 'unknown', { cylinder: 1 }).assessed())).toEqual([]);
    expect(figuresOf(new Bench().read('run.temperature', 300).read('run.temperature', 310).assessed())).toEqual([]);
  });
  it('a curve of one place, in minutes since the start', () => {
    const b = new Bench().read('run.event', 'start');
    for (const t of [300, 310, 320, 325]) b.read('run.temperature', t, { conditions: { spot: 'head' } });
    b.read('run.temperature', 400, { conditions: { spot: 'exhaust' } });
    const [f] = figuresOf(b.assessed());
    expect(f).toMatchObject({
      kind: 'curve',
      points: [
        [1, expect.any(Number)],
        [2, expect.any(Number)],
        [3, expect.any(Number)],
        [4, expect.any(Number)]
      ]
    });
    expect(drawing(f!).paths[0]).toMatch(/^M147.5,.*L470,/);
  });
});

describe('history', () => {
  const season = (year: number, psi: number, more: Partial<Reading> = {}) => {
    const b = new Bench({ cylinders: 1 }).read('compression.pressure', psi * PSI, { cylinder: 1, ...more });
    const at = (s: string): string => s.replace('2026', String(year));
    return {
      ...b.survey,
      assessment: { ...b.survey.assessment, startedAt: at(b.survey.assessment.startedAt) },
      readings: b.survey.readings.map((r) => ({ ...r, at: at(r.at) }))
    };
  };
  const now = new Date('2026-06-01T00:00:00.000Z');
  const trends = (...list: ReturnType<typeof season>[]) => trendsOf(list.map((s) => contextWithWork(s, now, 'us')));
  it('trends over seasons: one point a visit, none of what was read once', () => {
    const [t, ...rest] = trends(season(2024, 120), season(2025, 118), season(2026, 90));
    expect(t).toMatchObject({ what: 'compression.pressure', lines: [{ cylinder: 1 }] });
    expect(t!.lines[0]!.points.map((p) => Math.round(p.value / PSI))).toEqual([120, 118, 90]);
    expect(rest).toEqual([]);
    expect(trends(season(2026, 90))).toEqual([]);
    expect(trends()).toEqual([]);
  });
  it('two visits are compared as carefully as before and after', () => {
    const verdict = (a: number, b: number, more = {}) =>
      beforeAfterOf(season(2025, a), season(2026, b, more), now, 'us')[0]?.verdict;
    expect(verdict(120, 88)).toBe('worse');
    expect(verdict(120, 118)).toBe('cannot-tell');
    expect(verdict(120, 88, { conditions: { throttle: 'shut' } })).toBe('not-comparable');
    expect(beforeAfterOf(season(2025, 120), new Bench().survey, now, 'us')).toEqual([]);
  });
  it('the last round of each visit speaks', () => {
    const later = season(2026, 60);
    const again = { ...later.readings[0]!, id: 'again', round: 3, value: 119 * PSI };
    expect(
      beforeAfterOf(season(2025, 120), { ...later, readings: [...later.readings, again] }, now, 'us')[0]!.after
    ).toMatch(/^119/);
  });
});
