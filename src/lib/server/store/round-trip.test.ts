import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { scenario } from '../../../../demo/scenario/index.ts';
import { seed } from '../../../../demo/seed.ts';
import { entriesOf, entryKinds } from '../../../core/record/entries.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { readSurveyFile } from '../../../core/survey/read-file.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { appendBatch } from './append.ts';
import { importSurvey, loadSurvey, openSurveys } from './surveys.ts';

let db: Db;
let directory: string;
const now = new Date(2026, 3, 20, 9, 0);
const o = () => ({ db, now });
beforeEach(() => {
  directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-round-'));
  db = openDatabase(directory);
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(directory, { recursive: true, force: true });
});

/** The text of a survey with its ids numbered as they come: what two exports have in common. */
function withoutIds(survey: SurveyFile): string {
  const ids = new Map(entriesOf(survey).map((e, k) => [e.body.id, `#${k}`]));
  const numbered = entriesOf(survey).map((e) => {
    const body: Record<string, unknown> = { ...e.body, id: ids.get(e.body.id) };
    for (const field of entryKinds[e.type].names)
      if (typeof body[field] === 'string') body[field] = ids.get(body[field]) ?? body[field];
    return { type: e.type, body };
  });
  const { engine, assessment, houseRules } = survey;
  return JSON.stringify({ engine, assessment, houseRules, numbered }, null, 1);
}

describe('export, import, export', () => {
  it('is the same file for every engine of the demo, ids apart', () => {
    seed(now, o());
    const heads = openSurveys(o());
    expect(heads).toHaveLength(scenario.length);
    for (const head of heads) {
      const { survey } = loadSurvey(head.id, o())!;
      const read = readSurveyFile(JSON.stringify(survey));
      if (!read.ok) throw new Error(`${survey.engine.identity.tag}: ${read.path} ${read.message}`);
      const { surveyId } = importSurvey(read.survey, 'Ines', o());
      const again = loadSurvey(surveyId, o())!.survey;
      expect(withoutIds(again)).toBe(withoutIds(survey));
      expect(entriesOf(again).map((e) => e.type)).toEqual(entriesOf(survey).map((e) => e.type));
    }
  });
});

describe('references', () => {
  const reading = (id: string, more: object = {}) => ({
    id,
    at: '2026-05-02T08:00:00.000Z',
    what: 'fuel.level',
    value: 'full',
    ...more
  });
  const file = (readings: object[], more: object = {}): string =>
    JSON.stringify({
      format: 'indaga-survey',
      version: 2,
      engine: { identity: {}, profile: {}, history: {} },
      assessment: { kind: 'neglected', startedAt: '2026-05-02T07:00:00.000Z' },
      readings,
      ...more
    });
  it.each([
    ['itself', [reading('a', { supersedes: 'a' })], 'readings[0].supersedes', /names itself/],
    [
      'each other',
      [reading('a', { supersedes: 'b' }), reading('b', { supersedes: 'a' })],
      'readings[0].supersedes',
      /circle/
    ],
    [
      'in a circle of three',
      [reading('a', { supersedes: 'c' }), reading('b', { supersedes: 'a' }), reading('c', { supersedes: 'b' })],
      'readings[0].supersedes',
      /circle/
    ],
    [
      'another measurement',
      [reading('a'), reading('b', { what: 'fuel.vent', value: 'open', supersedes: 'a' })],
      'readings[1].supersedes',
      /another measurement/
    ]
  ])('%s: refused by its path', (_, readings, where, message) => {
    const read = readSurveyFile(file(readings));
    expect(read).toMatchObject({ ok: false, path: where, message: expect.stringMatching(message) });
  });
  it('another kind of entry: refused', () => {
    const tray = [{ id: 't', at: '2026-05-02T08:00:00.000Z', name: 'bolt' }];
    expect(readSurveyFile(file([reading('a', { supersedes: 't' })], { tray }))).toMatchObject({
      ok: false,
      path: 'readings[0].supersedes'
    });
  });
  it('what is not in the file is kept', () => {
    expect(readSurveyFile(file([reading('a', { supersedes: 'gone' })])).ok).toBe(true);
  });
  it('are refused where single entries come in, too', () => {
    const { surveyId } = importSurvey(JSON.parse(file([])) as SurveyFile, '', o());
    const send = (body: object) =>
      appendBatch(surveyId, { since: 0, factSince: 0, entries: [{ type: 'reading', body }], facts: [] }, o())!.refused;
    expect(send(reading('a', { supersedes: 'a' }))[0]?.message).toMatch(/names itself/);
    expect(send(reading('b', { supersedes: 'c' }))).toEqual([]);
    expect(send(reading('c', { supersedes: 'b' }))[0]?.message).toMatch(/circle/);
    expect(send(reading('d', { what: 'fuel.vent', value: 'open', supersedes: 'b' }))[0]?.message).toMatch(
      /another measurement/
    );
  });
});
