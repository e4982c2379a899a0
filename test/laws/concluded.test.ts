import { expect, it } from 'vitest';
import { worked } from '../worked.ts';
import { assess } from '../../src/core/assess.ts';
import { concludedOf } from '../../src/core/conclude.ts';
import { judgementFrom } from '../../src/core/concluded.ts';

it.each(worked)('%s: what was concluded is the same after a journey as JSON, or to a worker', (_, survey) => {
  const last = Math.max(
    ...[survey.assessment.startedAt, ...survey.readings.map((r) => r.at)].map((at) => Date.parse(at))
  );
  const a = assess(survey, new Date(last + 3_600_000), 'metric');
  const concluded = concludedOf(a, a.advice);
  for (const there of [structuredClone(concluded), JSON.parse(JSON.stringify(concluded)) as typeof concluded]) {
    const got = judgementFrom(a.context, there);
    expect(got.findings).toEqual(a.findings);
    expect(got.stations).toEqual(a.stations);
    expect(got.holds).toEqual(a.holds);
    expect([there.steps, there.gates, there.ready]).toEqual([a.steps, a.gates, a.ready]);
  }
});
