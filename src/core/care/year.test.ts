import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import type { Outing } from '../engine/outing.ts';
import { contextWithWork } from '../jobs/work.ts';
import type { SurveyFile } from '../record/survey-file.ts';
import { yearOf, type EngineYear } from './year.ts';

const two = { strokes: 'two', cylinders: 2 } as const;
/** An assessment begun on a day, with compression readings at 10 o'clock of that day. */
function visit(on: string, psi: readonly number[], steps: readonly [string, string, number?][] = []): SurveyFile {
  const b = new Bench(two, 'neglected', { runsIn: 'salt' });
  b.psi(psi.map((p, k) => [k + 1, p] as const));
  const { survey } = b;
  return {
    ...survey,
    assessment: { ...survey.assessment, startedAt: `${on}T09:00:00.000Z` },
    readings: survey.readings.map((r, k) => ({ ...r, at: `${on}T10:0${k}:00.000Z` })),
    steps: steps.map(([at, step, hours], k) => ({
      id: `s${k}${on}`,
      at: `${at}T12:00:00.000Z`,
      step,
      state: 'done' as const,
      ...(hours === undefined ? {} : { hours })
    }))
  };
}
function year(surveys: SurveyFile[], outings: readonly Outing[], asked?: number): EngineYear {
  const list = surveys.map((s) => ({
    ...s,
    engine: { ...s.engine, outings: Object.fromEntries(outings.map((o, k) => [`o${k}`, o])) }
  }));
  const contexts = list.map((s) => contextWithWork(s, new Date(s.assessment.startedAt), 'metric'));
  return yearOf(list, contexts, {}, 'us', asked)!;
}
const log: readonly Outing[] = [
  { on: '2025-08-01', meter: 100 },
  { on: '2026-05-03', meter: 103, idle: 0.5, flushed: true },
  { on: '2026-05-10', meter: 105, stream: 'weak' },
  { on: '2026-07-01', ran: 4, idle: 0.25, water: 'fresh' },
  { on: '2026-07-02' }
];

describe('the year of an engine', () => {
  it('adds up its log by month, and says what nobody knows', () => {
    const y = year([visit('2026-04-01', [])], log);
    expect(y.years).toEqual([2026, 2025]);
    expect(y.totals).toMatchObject({ outings: 4, hours: 9, unknown: 1 });
    expect([y.months[4], y.months[6], y.months.reduce((a, b) => a + b, 0)]).toEqual([5, 4, 9]);
    // From where the meter stood when the year before ended.
    expect(y.meter).toEqual({ from: 100, to: 105 });
    expect([y.weak, y.salt, y.unflushed]).toEqual([1, 3, 2]);
    expect(y.done).toEqual([]);
    const changed = year([visit('2026-04-01', [])], [{ on: '2026-05-01', ran: 2, changed: true }]);
    expect(changed.done).toEqual([{ on: '2026-05-01', title: 'Engine oil changed' }]);
    // Another meter fitted in spring.
    const meters: readonly Outing[] = [
      { on: '2025-08-01', meter: 900 },
      { on: '2026-05-01', meter: 2 },
      { on: '2026-06-01', meter: 6 },
      { on: '2026-07-01', meter: 9 }
    ];
    expect(year([visit('2026-04-01', [])], meters).meter).toEqual({ from: 6, to: 9 });
    expect(year([visit('2026-04-01', [])], log, 2025).totals).toMatchObject({ outings: 1, hours: 0, unknown: 1 });
    expect(year([visit('2026-04-01', [])], log, 2019)).toMatchObject({ done: [], assessed: [], figures: [] });
  });
  it('lists each service on its day, a short job once, steps of one and what was opened again not', () => {
    const v = visit(
      '2026-04-01',
      [],
      [
        ['2026-04-02', 'care.monthly-turn'],
        ['2026-05-02', 'care.monthly-turn'],
        ['2026-05-02', 'flow.monthly-turn'],
        ['2026-10-20', 'flow.lay-up'],
        ['2026-10-20', 'flow.lay-up.gear'],
        ['2026-06-01', 'pump', 88],
        ['2025-06-01', 'care.plugs'],
        ['2026-06-02', 'constructor']
      ]
    );
    const opened = {
      ...v,
      steps: [
        ...v.steps!,
        { id: 'x', at: '2026-08-01T12:00:00.000Z', step: 'coil', state: 'done' as const },
        { id: 'y', at: '2026-08-02T12:00:00.000Z', step: 'coil', state: 'open' as const }
      ]
    };
    expect(year([opened], []).done.map((e) => [e.on.slice(5), e.title.split(/[,:]/)[0], e.hours])).toEqual([
      ['04-02', 'Turned by hand', undefined],
      ['05-02', 'Turned by hand', undefined],
      ['06-01', expect.stringMatching(/pump/i), 88],
      ['10-20', 'Lay-up', undefined]
    ]);
  });
  it('puts a figure beside the last comparable one of an earlier year', () => {
    const y = year([visit('2024-04-01', [120, 118]), visit('2026-04-01', [119, 104])], []);
    expect(y.assessed.map((e) => e.on)).toEqual(['2026-04-01']);
    expect(y.figures.map((f) => [f.label, f.value, f.before?.value, f.before?.on])).toEqual([
      [expect.stringMatching(/cyl 1/), '119 psi', '120 psi', '2024-04-01'],
      [expect.stringMatching(/cyl 2/), '104 psi', '118 psi', '2024-04-01']
    ]);
  });
});
