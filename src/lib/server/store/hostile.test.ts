import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { hostile, names } from '../../../../test/laws/hostile.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { careOfAll } from '../care.ts';
import { ordersOf } from '../parts.ts';
import { benchData, firstPlan } from '../bench.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { importSurvey } from './surveys.ts';
import { judgedRow } from './yard-row.ts';
import { yard, yardPage } from './yard.ts';

let db: Db;
let directory: string;
const now = new Date('2026-05-03T12:00:00.000Z');
const o = () => ({ db, now });
const example = (key: string): SurveyFile =>
  JSON.parse(fs.readFileSync(`docs/examples/${key}.json`, 'utf8')) as SurveyFile;
beforeEach(() => {
  directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-hostile-'));
  db = openDatabase(directory);
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(directory, { recursive: true, force: true });
});

describe('a yard with hostile surveys', () => {
  it('lists them all', async () => {
    for (const name of names) importSurvey(hostile(example('eel'), name), 'Ines', o());
    expect(yardPage('us', {}, o()).rows).toHaveLength(names.length);
    expect(yard('us', o()).filter((r) => r.unjudged)).toEqual([]);
    expect(await careOfAll(o())).toHaveLength(names.length);
    expect(ordersOf('us', undefined, o()).length).toBeGreaterThan(0);
    firstPlan(benchData('us', o()).input);
  });
  it('one that cannot be judged is one line that says so, before all others but a clock', () => {
    const good = importSurvey(example('swift'), 'Ines', o());
    const bad = importSurvey(example('gannet'), 'Ines', o());
    // A body that no schema would have let in, as a damaged disk or another program could leave it.
    db.$client
      .prepare(
        'update entries set body = \'{"id":"x","what":"turn.result","value":"free","at":null}\' where survey_id = ? and type = \'reading\''
      )
      .run(bad.surveyId);
    const { rows } = yardPage('us', {}, o());
    expect(rows.map((r) => [r.surveyId, r.unjudged !== undefined])).toEqual([
      [bad.surveyId, true],
      [good.surveyId, false]
    ]);
    expect(rows[0]).toMatchObject({ tag: 'Gannet', unjudged: expect.stringMatching(/cannot judge/) });
    expect(benchData('us', o()).idle.map((x) => x.because)).toContain('its record cannot be judged');
    expect(() => judgedRow(bad.surveyId, now, 'us', o())).toThrow();
  });
});
