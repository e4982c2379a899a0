import { describe, expect, it } from 'vitest';
import { judged } from '../../src/core/assess.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import { worked } from '../worked.ts';

const now = (minutes: number): Date => new Date(Date.parse('2026-05-20T12:00:00.000Z') + 60_000 * minutes);
const acts = (s: SurveyFile, minutes: number) => {
  const j = judged(s, now(minutes), 'us');
  return { findings: j.findings, holds: j.holds };
};

/** A survey of its own, of which nothing was kept. */
const apart = (s: SurveyFile): SurveyFile => structuredClone(s);

describe('what is kept from the judgement before changes nothing', () => {
  it.each(worked)('%s, reading by reading', (_, survey) => {
    // Each stage shares everything but its readings with the one before, as on a page.
    for (let k = 1; k <= survey.readings.length; k++) {
      const stage = { ...survey, readings: survey.readings.slice(0, k) };
      expect(acts(stage, k)).toEqual(acts(apart(stage), k));
    }
    // Then a correction of each kind: superseded, taken back, and work marked done.
    const [first] = survey.readings;
    if (!first) return;
    const withdrawn = {
      ...survey,
      readings: [...survey.readings, { ...first, id: 'w', supersedes: first.id, withdrawn: true as const }]
    };
    expect(acts(withdrawn, 500)).toEqual(acts(apart(withdrawn), 500));
    const done = {
      ...survey,
      steps: [...(survey.steps ?? []), { id: 'd', at: now(-5).toISOString(), step: 'reseal', state: 'done' as const }]
    };
    expect(acts(done, 501)).toEqual(acts(apart(done), 501));
    const other = {
      ...survey,
      engine: { ...survey.engine, profile: { ...survey.engine.profile, gearCapacity: 1e-3 } }
    };
    expect(acts(other, 502)).toEqual(acts(apart(other), 502));
    const ruled = { ...survey, houseRules: { schools: { gearWater: 'washers' } } } as SurveyFile;
    expect(acts(ruled, 503)).toEqual(acts(apart(ruled), 503));
    // A week later, nothing added: what asks for the time is judged anew.
    expect(acts(survey, 10_000)).toEqual(acts(apart(survey), 10_000));
  });
});
