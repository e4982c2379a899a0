import { expect, it } from 'vitest';
import { worked } from '../worked.ts';
import { judged } from '../../src/core/assess.ts';
import { judgementFrom } from '../../src/core/concluded.ts';
import { concludedOf } from '../../src/core/judge.ts';

it.each(worked)('%s: what was concluded is the same after a journey as JSON, or to a worker', (_, survey) => {
  const last = Math.max(
    ...[survey.assessment.startedAt, ...survey.readings.map((r) => r.at)].map((at) => Date.parse(at))
  );
  const j = judged(survey, new Date(last + 3_600_000), 'metric');
  const concluded = concludedOf(j);
  for (const there of [structuredClone(concluded), JSON.parse(JSON.stringify(concluded)) as typeof concluded]) {
    const got = judgementFrom(j.context, there);
    expect(got.findings).toEqual(j.findings);
    expect(got.stations).toEqual(j.stations);
    expect(got.holds).toEqual(j.holds);
  }
});
