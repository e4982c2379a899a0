import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDatabase, type Db } from '../src/lib/server/db/open.ts';
import { appendBatch } from '../src/lib/server/store/append.ts';
import { hashOf, lastRelease } from '../src/lib/server/store/releases.ts';
import { entriesAfter, importSurvey, loadSurvey, openSurveys, surveysOf } from '../src/lib/server/store/surveys.ts';
import { yard } from '../src/lib/server/store/yard.ts';
import { seed } from './seed.ts';

let dir: string;
let db: Db;
const now = new Date('2026-04-18T14:00:00.000Z');
beforeAll(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-'));
  db = openDatabase(dir);
  seed(now, { db, now });
});
afterAll(() => {
  db.$client.close();
  fs.rmSync(dir, { recursive: true });
});
const idOf = (tag: string): string => yard('us', { db, now }).find((r) => r.tag === tag)!.surveyId;
const reading = (id: string, what: string, value: unknown, more: object = {}) => ({
  type: 'reading',
  body: { id, what, value, at: now.toISOString(), ...more }
});
const send = (tag: string, entries: { type: string; body: object }[]) =>
  appendBatch(idOf(tag), { since: 0, factSince: 0, entries, facts: [] }, { db, now })!;

describe('the yard', () => {
  it('puts the shortest clock first and what is back in service last', () => {
    const tags = yard('us', { db, now }).map((r) => r.tag);
    expect(tags.slice(0, 2)).toEqual(['Heron', 'Eel']);
    expect(tags.at(-1)).toBe('Curlew');
    expect(tags).toHaveLength(13);
  });
});

describe('appending', () => {
  it('a retry of the same entry is written once', () => {
    const entry = reading('twice', 'fuel.level', 'full');
    send('Dunlin', [entry]);
    send('Dunlin', [entry]);
    expect(entriesAfter(idOf('Dunlin'), 0, { db }).filter((e) => e.body.id === 'twice')).toHaveLength(1);
  });
  it('refuses one malformed entry with a sentence and takes the rest', () => {
    const result = send('Dunlin', [reading('bad', 'fuel.level', 'overflowing'), reading('good', 'fuel.bulb', 'firm')]);
    expect(result.refused.map((r) => r.id)).toEqual(['bad']);
    expect(result.entries.some((e) => e.body.id === 'good')).toBe(true);
  });
  it('refuses to start or crank a drowned engine, and says what lifts it', () => {
    const result = send('Eel', [
      reading('start', 'run.outcome', 'ran'),
      reading('crank', 'compression.pressure', 7e5, { cylinder: 1 })
    ]);
    expect(result.refused).toHaveLength(2);
    expect(result.refused[0]?.message).toMatch(/Drowned.*It lifts when/);
    expect(entriesAfter(idOf('Eel'), 0, { db }).some((e) => e.body.id === 'start')).toBe(false);
  });
  it('two people correcting one reading both stay in the record', () => {
    const [first] = send('Tern', [reading('base', 'fuel.kind', 'plain')]).entries.slice(-1);
    send('Tern', [
      reading('a', 'fuel.kind', 'ethanol', { supersedes: first!.body.id }),
      reading('b', 'fuel.kind', 'unknown', { supersedes: first!.body.id })
    ]);
    const ids = entriesAfter(idOf('Tern'), 0, { db }).map((e) => e.body.id);
    expect(ids).toEqual(expect.arrayContaining(['base', 'a', 'b']));
  });
  it('answers nothing for an assessment that is not there', () => {
    expect(appendBatch('nowhere', { since: 0, factSince: 0, entries: [], facts: [] }, { db })).toBeUndefined();
  });
});

describe('release', () => {
  it('keeps a hash that still fits the frozen record, and no other', () => {
    const release = lastRelease(idOf('Curlew'), { db })!;
    expect(hashOf(release.record)).toBe(release.hash);
    expect(hashOf({ ...release.record, signedBy: 'somebody else' })).not.toBe(release.hash);
  });
});

describe('import', () => {
  it('takes the same file twice without mixing the two, corrections still in place', () => {
    const { survey } = loadSurvey(idOf('Curlew'), { db })!;
    const a = importSurvey(survey, 'Ines', { db });
    const b = importSurvey(survey, 'Ines', { db });
    expect(a.engineId).not.toBe(b.engineId);
    const back = loadSurvey(b.surveyId, { db })!.survey;
    expect(back.readings.map((r) => [r.what, r.value])).toEqual(survey.readings.map((r) => [r.what, r.value]));
    expect(back.engine).toEqual(survey.engine);
    expect(surveysOf(a.engineId, { db })).toHaveLength(1);
    expect(openSurveys({ db }).length).toBe(15);
  });
});
