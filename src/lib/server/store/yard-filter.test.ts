import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { appendBatch } from './append.ts';
import { onChange } from './changes.ts';
import { importSurvey } from './surveys.ts';
import { isYardFilter, yardPage } from './yard.ts';

let db: Db;
let directory: string;
const now = new Date('2026-05-03T12:00:00.000Z');
const o = () => ({ db, now });
const example = (key: string): SurveyFile =>
  JSON.parse(fs.readFileSync(`docs/examples/${key}.json`, 'utf8')) as SurveyFile;
const promised = (key: string, day: string): SurveyFile => {
  const s = example(key);
  return { ...s, engine: { ...s.engine, history: { ...s.engine.history, promised: day } } };
};
beforeEach(() => {
  directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-filter-'));
  db = openDatabase(directory);
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(directory, { recursive: true, force: true });
});
const tags = (filter: Parameters<typeof yardPage>[1]): string[] =>
  yardPage('us', filter, o())
    .rows.map((r) => r.tag)
    .sort();

describe('what of the yard is shown', () => {
  it('the held ones, and the most pressing move of the whole yard whatever is shown', () => {
    importSurvey(example('eel'), 'Ines', o());
    importSurvey(example('swift'), 'Ines', o());
    expect(tags({ filter: 'held' })).toEqual(['Eel']);
    expect(yardPage('us', { filter: 'held' }, o())).toMatchObject({ total: 2, found: 1 });
    expect(yardPage('us', { search: 'swift' }, o()).now?.tag).toBe('Eel');
  });
  it('those promised within the week, by the day and not by its text alone', () => {
    importSurvey(promised('swift', '2026-05-08T00:00:00.000Z'), 'Ines', o());
    importSurvey(promised('wren', '2026-07-01T00:00:00.000Z'), 'Ines', o());
    expect(tags({ filter: 'week' })).toEqual(['Swift']);
  });
  it('mine are those I recorded something of; a name with a quote in it is a name', () => {
    const { surveyId } = importSurvey(example('swift'), 'Ines', o());
    const body = { id: 'mine-1', at: now.toISOString(), by: "O'Neil", what: 'fuel.level', value: 'full' };
    appendBatch(surveyId, { since: 0, factSince: 0, facts: [], entries: [{ type: 'reading', body }] }, o());
    expect(tags({ filter: 'mine', who: "O'Neil" })).toEqual(['Swift']);
    expect(tags({ filter: 'mine', who: 'Nobody' })).toEqual([]);
  });
  it('a word that is no filter is none', () => {
    expect(['mine', 'constructor', 'toString', '', null].map(isYardFilter)).toEqual([true, false, false, false, false]);
  });
});

describe('who is told of a change', () => {
  it('the listeners of that survey, once an entry was taken; not for a retry, and not after they left', () => {
    const { surveyId } = importSurvey(example('swift'), 'Ines', o());
    const told = vi.fn();
    const leave = onChange(surveyId, told);
    const body = { id: 'told-1', at: now.toISOString(), what: 'fuel.level', value: 'full' };
    const batch = { since: 0, factSince: 0, facts: [], entries: [{ type: 'reading' as const, body }] };
    appendBatch(surveyId, batch, o());
    expect(told).toHaveBeenCalledTimes(1);
    appendBatch(surveyId, batch, o());
    expect(told).toHaveBeenCalledTimes(1);
    leave();
    appendBatch(surveyId, { ...batch, entries: [{ type: 'reading', body: { ...body, id: 'told-2' } }] }, o());
    expect(told).toHaveBeenCalledTimes(1);
  });
});
