import { expect, it } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import { reportOf } from '../../src/core/report/report.ts';
import { Bench } from '../case.ts';

it('a limit goes by one name wherever it is said', () => {
  const b = new Bench({ strokes: 'two', cylinders: 2 }).read('cooling.head', 371).read('run.outcome', 'ran');
  const a = b.assessed();
  const said = [
    ...a.findings.flatMap((f) => [f.sentence, f.because.limit ?? '']),
    ...a.holds.map((h) => h.because)
  ].filter((w) => w.includes('194 °F ('));
  expect(said.length).toBeGreaterThan(1);
  expect(new Set(said.map((w) => /194 °F \(([^)]*)\)/.exec(w)?.[1]))).toEqual(new Set(['our value, from memory']));
});

it('the report gives the intervals of the house', () => {
  const b = new Bench({ strokes: 'four', cylinders: 2 });
  b.survey = { ...b.survey, houseRules: { numbers: { serviceHours: 50, serviceMonths: 6 } } };
  const next = reportOf(assess(b.survey, new Date('2026-05-03T08:00:00.000Z'), 'us')).owner.next.join(' ');
  expect(next).toMatch(/Engine oil and filter: after 50 hours or 6 months \(house rule\)/);
  expect(next).not.toMatch(/100 hours/);
});
