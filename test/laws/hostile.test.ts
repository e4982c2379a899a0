import fs from 'node:fs';
import { describe, expect, it } from 'vitest';
import { assess } from '../../src/core/assess.ts';
import { dueList } from '../../src/core/care/due.ts';
import { flowById } from '../../src/core/care/flows.ts';
import { decide } from '../../src/core/decision/decide.ts';
import { beforeAfterOf } from '../../src/core/history/compare.ts';
import { contextWithWork } from '../../src/core/jobs/work.ts';
import { trendsOf } from '../../src/core/history/trends.ts';
import { orderOf } from '../../src/core/parts/lines.ts';
import { partLines } from '../../src/core/record/part-lines.ts';
import { walkFor } from '../../src/core/plan/walk.ts';
import { whileOpen } from '../../src/core/plan/while-open.ts';
import { reportOf } from '../../src/core/report/report.ts';
import { planBench } from '../../src/core/schedule/plan-bench.ts';
import { usualBench } from '../../src/core/schedule/settings.ts';
import { workOf } from '../../src/core/schedule/work.ts';
import { readSurveyFile } from '../../src/core/survey/read-file.ts';
import type { SurveyFile } from '../../src/core/record/survey-file.ts';
import { trayOf } from '../../src/core/tray/tray.ts';
import { hostile, names } from './hostile.ts';

const now = new Date('2026-05-03T12:00:00.000Z');
const example = (key: string): SurveyFile =>
  JSON.parse(fs.readFileSync(`docs/examples/${key}.json`, 'utf8')) as SurveyFile;

describe('names from outside that every object answers to', () => {
  it.each(names)('%s is kept and stays without effect', (name) => {
    for (const key of ['eel', 'gannet', 'knot']) {
      const base = example(key);
      const read = readSurveyFile(JSON.stringify(hostile(base, name)));
      expect(read).toMatchObject({ ok: true });
      if (!read.ok) continue;
      const { survey } = read;
      const a = assess(survey, now, 'us');
      const plain = assess(base, now, 'us');
      expect(a.findings).toEqual(plain.findings);
      expect(a.holds).toEqual(plain.holds);
      expect(a.steps.filter((s) => !s.own).map((s) => [s.id, s.state])).toEqual(
        plain.steps.map((s) => [s.id, s.state])
      );
      decide(a, 500);
      reportOf(a);
      const care = dueList([base, survey], {}, now).filter((d) => !d.id.startsWith('inspect-'));
      expect(care).toEqual(dueList([base, base], {}, now).filter((d) => !d.id.startsWith('inspect-')));
      const work = workOf({ surveyId: 's', engineId: 'e' }, a, a.moves, a.steps, false);
      planBench({ engines: [work], settings: usualBench, pins: [], now: now.toISOString() }, { tries: 0 });
      orderOf(partLines(survey), a.steps);
      walkFor(a.steps);
      whileOpen(a.steps);
      trayOf(survey);
      trendsOf([base, survey].map((s) => contextWithWork(s, new Date(), 'metric')));
      beforeAfterOf(base, survey, now, 'us');
    }
  });
  it('is no short job', () => {
    for (const name of names) expect(flowById(name)).toBeUndefined();
  });
});
