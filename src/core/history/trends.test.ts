import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { four, two } from '../../../test/stories/engines.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { contextWithWork } from '../jobs/work.ts';
import { PSI } from '../units/factors.ts';
import { sayTrend } from './trend-words.ts';
import { trendsOf, type Trend } from './trends.ts';

const trends = (surveys: readonly SurveyFile[]): Trend[] =>
  trendsOf(surveys.map((s) => contextWithWork(s, new Date(s.assessment.startedAt), 'metric')));

/** An assessment of that year's spring. */
function visit(year: number, enter: (b: Bench) => unknown, profile = two): SurveyFile {
  const b = new Bench(profile);
  enter(b);
  const move = (at: string): string => at.replace(/^\d{4}/, String(year));
  return {
    ...b.survey,
    assessment: { ...b.survey.assessment, startedAt: move(b.survey.assessment.startedAt) },
    readings: b.survey.readings.map((r) => ({ ...r, at: move(r.at) })),
    ...(b.survey.steps ? { steps: b.survey.steps.map((s) => ({ ...s, at: move(s.at) })) } : {})
  };
}
const compression = (lists: Readonly<Record<number, readonly number[]>>, more = {}): SurveyFile[] =>
  Object.entries(lists).map(([year, list]) =>
    visit(+year, (b) =>
      b.psi(
        list.map((p, k) => [k + 1, p] as const),
        more
      )
    )
  );
const of = (surveys: readonly SurveyFile[], what = 'compression.pressure'): Trend | undefined =>
  trends(surveys).find((t) => t.what === what);

describe('what was measured over years', () => {
  const wearing = compression({
    2020: [130, 130, 129],
    2022: [128, 122, 128],
    2024: [129, 113, 127],
    2026: [128, 105, 128]
  });
  it('a slow change is told with its interval, and when it reaches the limit', () => {
    const trend = of(wearing)!;
    const [one, second] = trend.lines;
    expect(one!.change).toMatchObject({ told: false, worse: false });
    expect(second!.change).toMatchObject({ told: true, worse: true });
    expect(second!.change!.value / PSI).toBeCloseTo(-4.2, 0);
    const { from, to } = second!.change!.forecast!;
    // 105 psi in 2026, about 4 psi a year, the least of its kind is 90 psi: in three to six years.
    expect(Number(from.slice(0, 4))).toBeGreaterThanOrEqual(2027);
    expect(Number(from.slice(0, 4))).toBeLessThanOrEqual(2029);
    expect(Number(to!.slice(0, 4))).toBeGreaterThanOrEqual(2030);
  });
  it('one cylinder that goes alone is named', () => {
    const trend = of(wearing)!;
    expect(trend.alone).toBe(2);
    expect(sayTrend(trend, 'us').join(' ')).toMatch(
      /Cyl 2: falls by .* going on so, it is at 90 psi .*Cylinder 2 falls faster/
    );
    expect(sayTrend(trend, 'metric').join(' ')).not.toMatch(/psi/);
  });
  it('two readings show what was, and not what comes', () => {
    const trend = of(compression({ 2020: [130, 130, 130], 2026: [128, 96, 128] }))!;
    expect(trend.lines[1]!.change).toMatchObject({ told: true, worse: true });
    expect(trend.lines[1]!.change!.forecast).toBeUndefined();
    expect(sayTrend(trend, 'us').join(' ')).toMatch(/a third will show what comes/);
  });
  it('all alike down: no cylinder is alone', () => {
    const trend = of(compression({ 2020: [130, 130, 130], 2023: [115, 116, 115], 2026: [101, 100, 101] }))!;
    expect(trend.lines.every((l) => l.change!.worse)).toBe(true);
    expect(trend.alone).toBeUndefined();
  });
});

describe('only what may be compared', () => {
  it('another gauge is another line, and one reading of it is none', () => {
    const plain = compression({ 2020: [130, 130, 130], 2024: [129, 129, 129] });
    const adapter = compression(
      { 2026: [98, 98, 97] },
      { instrument: { name: 'long hose', adapterVolume: 4e-6, valve: 'gauge end' } }
    );
    const trend = of([...plain, ...adapter])!;
    expect(trend.lines.map((l) => l.points.length)).toEqual([2, 2, 2]);
    expect(trend.lines.some((l) => l.change!.worse)).toBe(false);
  });
  it('a wet test beside dry ones is no rise, and what was outdone does not count', () => {
    const years = compression({ 2022: [120, 120, 120], 2024: [119, 120, 119] });
    const wet = visit(2026, (b) => {
      b.psi([
        [1, 60],
        [1, 118],
        [1, 119],
        [2, 119],
        [3, 118]
      ]);
      b.psi([[1, 165]], { conditions: { throttle: 'open', bores: 'oiled', dose: 5e-6 } });
    });
    const [one] = of([...years, wet])!.lines;
    expect(one!.points.at(-1)!.value / PSI).toBeCloseTo(118.5, 0);
    expect(one!.change!.told).toBe(false);
  });
  it('work on the cylinders begins anew: what it gave is no slope', () => {
    const worn = compression({ 2020: [130, 130, 130], 2022: [121, 122, 121] });
    const mended = visit(2024, (b) =>
      b
        .psi([
          [1, 112],
          [2, 113],
          [3, 112]
        ])
        .done('overhaul')
        .psi([
          [1, 131],
          [2, 131],
          [3, 130]
        ])
    );
    const after = compression({ 2026: [122, 123, 121] });
    const [one] = of([...worn, mended, ...after])!.lines;
    expect(one!.change!.value / PSI).toBeLessThan(-3);
    // Two readings since the work: too few for what comes.
    expect(one!.change!.forecast).toBeUndefined();
  });
  it('windings at 20 °C, whatever they were read at; banks apart', () => {
    const winding = (year: number, ohms: number, kelvin: number) =>
      visit(year, (b) => b.read('spark.trigger', ohms, { conditions: { temperature: kelvin } }));
    const trigger = of([winding(2022, 350, 293), winding(2024, 350 * (1 + 0.00393 * 20), 313)], 'spark.trigger')!;
    expect(trigger.lines[0]!.change!.told).toBe(false);
    const v = { ...four, cylinders: 6, layout: 'v' } as const;
    const heads = (year: number, port: number, starboard: number) =>
      visit(
        year,
        (b) =>
          b
            .read('cooling.head', port + 273, { conditions: { bank: 'port' } })
            .read('cooling.head', starboard + 273, { conditions: { bank: 'starboard' } }),
        v
      );
    const head = of([heads(2020, 60, 60), heads(2023, 60, 68), heads(2026, 61, 77)], 'cooling.head')!;
    expect(head.lines.map((l) => l.bank)).toEqual(['port', 'starboard']);
    expect(head.lines.map((l) => l.change!.worse)).toEqual([false, true]);
    expect(sayTrend(head, 'us').join(' ')).toMatch(/Starboard bank: rises by 5\.\d degrees F a year/);
  });
  it('a history of nothing, or of one assessment, has none', () => {
    expect(trends([])).toEqual([]);
    expect(trends(compression({ 2026: [120, 120, 120] }))).toEqual([]);
  });
});
