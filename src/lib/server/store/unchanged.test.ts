import Database from 'better-sqlite3';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { LineInput } from '../work/line.ts';
import { afterAll, describe, expect, it, vi } from 'vitest';

// The one connection of the process, as the server has it: what is kept is kept for it only. Modules of its own, so that no other test's
// connection is meant.
const directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-unchanged-'));
vi.stubEnv('INDAGA_DATA', directory);
vi.resetModules();
/** Called before each line that the server would have made in a thread, with the assessment it is of. */
let beforeWork: (surveyId: string) => void = () => undefined;
vi.doMock('../work/pool.ts', async (original) => {
  const pool = await original<typeof import('../work/pool.ts')>();
  const inThread = (...task: readonly unknown[]): unknown => {
    if (task[0] === 'line') beforeWork((task[1] as LineInput).surveyId);
    return (pool.inThread as (...task: readonly unknown[]) => unknown)(...task);
  };
  return { ...pool, inThread };
});
const { database, DATABASE } = await import('../db/open.ts');
const { surveyPage } = await import('../survey-page.ts');
const { appendBatch } = await import('./append.ts');
const { createEngine } = await import('./engines.ts');
const { createSurvey, loadSurvey } = await import('./surveys.ts');
const { whileUnchanged } = await import('./unchanged.ts');
const { judgedInTurn, refresh, yardPage } = await import('./yard.ts');
afterAll(() => {
  database().$client.close();
  vi.doUnmock('../work/pool.ts');
  vi.unstubAllEnvs();
  vi.resetModules();
  fs.rmSync(directory, { recursive: true, force: true });
});

const engine = (tag: string): string => createEngine([{ path: 'identity.tag', value: tag }], '');
const read = (survey: string, id: string, what: string, value: unknown) =>
  appendBatch(survey, {
    since: 0,
    factSince: 0,
    entries: [{ type: 'reading', body: { id, what, value, at: new Date().toISOString() } }],
    facts: []
  });

describe('what is kept while nothing is written', () => {
  it('is worked out once, and anew after a write of this connection or of another program', () => {
    let n = 0;
    const count = () => whileUnchanged('count', () => ++n);
    expect([count(), count()]).toEqual([1, 1]);
    engine('one');
    expect([count(), count()]).toEqual([2, 2]);
    const other = new Database(path.join(directory, DATABASE));
    other.exec("insert into engines (id, created_at) values ('other', '2026-05-02T08:00:00.000Z')");
    other.exec("delete from engines where id = 'other'");
    other.close();
    expect([count(), count()]).toEqual([3, 3]);
  });

  it('keeps neither a throw nor a promise that fails', async () => {
    let n = 0;
    const fails = () =>
      whileUnchanged('throws', () => {
        throw new Error(String(++n));
      });
    expect(fails).toThrow('1');
    expect(fails).toThrow('2');
    const rejects = () => whileUnchanged('rejects', () => Promise.reject(new Error(String(++n))));
    await expect(rejects()).rejects.toThrow('3');
    await expect(rejects()).rejects.toThrow('4');
  });

  it('lets go of the oldest where there is no room for all, and of one that is too large by itself when the next comes', () => {
    let n = 0;
    const long = (key: string, length: number) =>
      whileUnchanged(key, () => ({ n: ++n, page: { text: 'x'.repeat(length) } })).n;
    expect([long('a', 14e6), long('b', 14e6), long('a', 14e6)]).toEqual([1, 2, 1]);
    expect([long('c', 14e6), long('b', 14e6), long('c', 14e6)]).toEqual([3, 2, 3]);
    expect(long('a', 14e6)).toBe(4);
    expect([long('huge', 40e6), long('huge', 40e6), long('d', 1000), long('huge', 40e6)]).toEqual([5, 5, 6, 7]);
  });

  it('is of the state after it where the work wrote something itself', () => {
    let n = 0;
    const writes = () =>
      whileUnchanged('writes', () => {
        engine(`written ${++n}`);
        return n;
      });
    expect([writes(), writes()]).toEqual([1, 1]);
  });
});

describe('a survey of the server', () => {
  it('grows by what came since, and is the same as one put together again', () => {
    const id = createSurvey(engine('grows'), 'neglected', '');
    const first = loadSurvey(id)!;
    expect(loadSurvey(id)).toBe(first);
    read(id, 'a', 'turn.result', 'free');
    read(id, 'b', 'look.cowl', 'nest');
    const then = loadSurvey(id)!;
    expect(then.survey.readings.map((r) => r.id)).toEqual(['a', 'b']);
    expect(then.survey.engine).toBe(first.survey.engine);
    expect(then.survey).toEqual(loadSurvey(id, { db: database() })!.survey);
    expect(then.seq).toBe(loadSurvey(id, { db: database() })!.seq);
  });

  it('an engine whose facts were changed is put together again', () => {
    const engineId = engine('facts');
    const id = createSurvey(engineId, 'neglected', '');
    loadSurvey(id);
    const at = new Date().toISOString();
    const facts = [{ id: 'f', path: 'profile.cylinders', value: 3, at }];
    appendBatch(id, { since: 0, factSince: 0, entries: [], facts });
    expect(loadSurvey(id)!.survey.engine.profile.cylinders).toBe(3);
  });

  it('its page says what was entered a moment ago, and what to do now', async () => {
    const id = createSurvey(engine('page'), 'neglected', '');
    // A page says how long ago something was: both are drawn in one minute.
    vi.useFakeTimers({ toFake: ['Date'], now: new Date() });
    const before = await surveyPage(id, 'us');
    expect(await surveyPage(id, 'us')).toEqual(before);
    vi.useRealTimers();
    read(id, 'c', 'look.cowl', 'nest');
    const after = (await surveyPage(id, 'us'))!;
    expect(JSON.parse(after.session.survey).readings).toHaveLength(1);
    expect(after.session.weighed).not.toBe(before!.session.weighed);
    expect(JSON.parse(after.session.weighed).moves[0].title).toBe('Make it safe');
    expect(await surveyPage('nobody', 'us')).toBeUndefined();
  });
});

describe('lines of the yard', () => {
  it('one that was taken in a moment ago is found by its name before it is judged, and once', async () => {
    await judgedInTurn('us');
    const id = createSurvey(engine('Just now'), 'neglected', '');
    const found = () => yardPage('us', { search: 'just' });
    expect(found()).toMatchObject({ found: 1, waiting: 1, rows: [{ surveyId: id, tag: 'Just now', pending: true }] });
    expect(yardPage('us', { search: 'nobody' }).rows).toEqual([]);
    expect(yardPage('us', { search: 'just then' }).rows).toEqual([]);
    expect(yardPage('us', { search: 'ust now' }).rows).toHaveLength(1);
    expect(yardPage('us', { search: 'just', filter: 'held' }).rows).toEqual([]);
    await judgedInTurn('us');
    expect(found().rows.map((r) => [r.surveyId, r.pending])).toEqual([[id, undefined]]);
    read(id, 'now', 'look.wiring', 'chewed');
    expect(found().rows).toHaveLength(1);
    await judgedInTurn('us');
  });
  it('one that is out of date is shown as it was until it is judged anew', async () => {
    const id = createSurvey(engine('line'), 'neglected', '');
    await judgedInTurn('us');
    const line = () => yardPage('us', { search: 'line' }).rows[0]!;
    const look = () => line().stations.find((s) => s.id === 'look')!.condition;
    expect(look()).toBe('not-looked-at');
    read(id, 'd', 'look.wiring', 'chewed');
    expect(line().tag).toBe('line');
    expect(refresh('us')).toBeGreaterThan(0);
    await judgedInTurn('us');
    expect(look()).toBe('fault');
    expect(refresh('us')).toBe(0);
  });
  it('who asks after an entry sees it, also where a turn is under way that has judged its engine already', async () => {
    const ids = ['one of two', 'two of two'].map((tag) => createSurvey(engine(tag), 'neglected', ''));
    const begun: string[] = [];
    beforeWork = (id) => {
      begun.push(id);
      if (begun.length === 2) read(begun[0]!, 'meanwhile', 'look.wiring', 'chewed');
    };
    await judgedInTurn('us');
    beforeWork = () => undefined;
    expect(begun.slice(0, 2).sort()).toEqual(ids.sort());
    const line = yardPage('us', { search: 'of two' }).rows.find((r) => r.surveyId === begun[0])!;
    expect(line.stations.find((s) => s.id === 'look')!.condition).toBe('fault');
  });
});
