import fs from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess, judged, withAdvice } from '../../src/core/assess.ts';
import { judge } from '../../src/core/judge.ts';
import { advise } from '../../src/core/advice/advice.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import { reportOf } from '../../src/core/report/report.ts';
import { following } from '../../src/core/stages.ts';

const survey = JSON.parse(fs.readFileSync('docs/examples/gannet.json', 'utf8')) as SurveyFile;
const now = new Date('2026-04-21T09:00:00.000Z');

describe('the pipeline', () => {
  it('has the leaks of a compression test in its findings, gates and record', () => {
    const a = assess(survey, now, 'us');
    expect(a.findings.map((f) => `${f.id}:${f.condition}`)).toContain('compression.leak.3:watch');
    expect(a.stations.find((s) => s.id === 'compression')!.findings.map((f) => f.id)).toContain('compression.leak.3');
    expect(
      reportOf(a)
        .findings.map((f) => f.sentence)
        .join(' ')
    ).toMatch(/Cylinder 3 leaks like a hole of/);
  });
  it('where nothing fits them there are none, and nothing else differs', () => {
    const without = judge(survey, now, 'us').findings.map((f) => f.id);
    const all = judged(survey, now, 'us').findings.map((f) => f.id);
    expect(all.filter((id) => !without.includes(id))).toEqual([
      'compression.leak.3',
      'compression.leak.5',
      'compression.leak'
    ]);
  });
  it('works a stage out when it is read, and once', () => {
    let asked = 0;
    const a = withAdvice(judged(survey, now, 'us'), (j) => {
      asked++;
      return advise(j);
    });
    expect(a.findings.length).toBeGreaterThan(5);
    expect(asked).toBe(0);
    expect(a.gates.length).toBeGreaterThan(5);
    expect(a.ready).toBe(false);
    expect([a.steps, a.advice.suspects].every((l) => l.length > 0)).toBe(true);
    expect(asked).toBe(1);
  });
  it('is the same where a page follows a judgement with advice it was given', () => {
    const a = assess(survey, now, 'us');
    const page = following(a, a.advice);
    expect(page.steps).toEqual(a.steps);
    expect(page.gates).toEqual(a.gates);
  });
});
