import Database from 'better-sqlite3';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { assess } from '../../../core/assess.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { appendBatch } from './append.ts';
import { createEngine, engineExists, factsAfter, loadEngine } from './engines.ts';
import { addInstrument, currentRules, listInstruments, retireInstrument, saveRules } from './house-rules.ts';
import { sign } from './releases.ts';
import { createSurvey, loadSurvey, surveysOf } from './surveys.ts';
import { yard } from './yard.ts';

let dir: string;
let db: Db;
beforeEach(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-store-'));
  db = openDatabase(dir);
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(dir, { recursive: true });
});
const at = '2026-05-02T08:00:00.000Z';
const engine = () => createEngine([{ path: 'identity.tag', value: 'T' }], 'Ines', { db });

describe('the database', () => {
  it('runs in WAL with full synchronisation and foreign keys', () => {
    const pragma = (name: string) => Object.values((db.$client.pragma(name) as object[])[0] ?? {})[0];
    expect([pragma('journal_mode'), pragma('synchronous'), pragma('foreign_keys')]).toEqual(['wal', 2, 1]);
  });
  it('keeps everything over a restart', () => {
    const id = engine();
    const survey = createSurvey(id, 'neglected', 'Ines', { db });
    db.$client.close();
    db = openDatabase(dir);
    expect(loadSurvey(survey, { db })?.survey.engine.identity.tag).toBe('T');
  });
  it('writes a copy beside itself before a migration, and not otherwise', () => {
    engine();
    const copies = () => fs.readdirSync(dir).filter((f) => f.startsWith('before-migration-'));
    db.$client.close();
    db = openDatabase(dir);
    expect(copies()).toEqual([]);
    // As if this application were one migration ahead of the file: with what it would run already there.
    const raw = new Database(path.join(dir, 'indaga.sqlite'));
    raw.prepare('delete from __drizzle_migrations').run();
    raw.close();
    db.$client.close();
    expect(() => openDatabase(dir)).toThrow();
    expect(copies()).toHaveLength(1);
    const copy = new Database(path.join(dir, copies()[0]!));
    expect(copy.prepare('select count(*) as n from engines').get()).toEqual({ n: 1 });
    copy.close();
    db = openDatabase(fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-store-')));
  });
});

describe('engines', () => {
  it('are what was last said about them, with every word kept', () => {
    const id = engine();
    const survey = createSurvey(id, 'neglected', '', { db });
    const fact = (n: string, value: unknown) => ({ id: n, path: 'profile.strokes', value, at });
    appendBatch(survey, { since: 0, factSince: 0, entries: [], facts: [fact('a', 'two'), fact('b', 'four')] }, { db });
    expect(loadEngine(id, { db }).profile.strokes).toBe('four');
    expect(factsAfter(id, 0, { db }).map((f) => f.value)).toEqual(['T', 'two', 'four']);
    expect(engineExists(id, { db })).toBe(true);
    expect(engineExists('nobody', { db })).toBe(false);
  });
  it('a fact that does not fit is refused with a sentence, the others are taken', () => {
    const survey = createSurvey(engine(), 'neglected', '', { db });
    const result = appendBatch(
      survey,
      {
        since: 0,
        factSince: 0,
        entries: [],
        facts: [
          { id: 'x', path: 'profile.cylinders', value: 40, at },
          { id: 'y', path: 'profile.leg', value: 'long', at },
          'nonsense'
        ]
      },
      { db }
    );
    expect(result?.refused.map((r) => r.id)).toEqual(['x', '']);
    expect(result?.refused[0]?.message).toMatch(/cannot be true/);
    expect(result?.facts.map((f) => f.id)).toContain('y');
  });
  it('refuses an intake that is not well formed as a whole', () => {
    expect(() => createEngine([{ path: 'profile.strokes', value: 'three' }], '', { db })).toThrow();
    expect(yard('us', { db })).toEqual([]);
  });
  it('may be assessed again; the yard shows the latest assessment', () => {
    const id = engine();
    createSurvey(id, 'neglected', '', { db, now: new Date('2026-01-01') });
    const second = createSurvey(id, 'lay-up', '', { db, now: new Date('2026-04-01') });
    expect(surveysOf(id, { db }).map((s) => s.kind)).toEqual(['lay-up', 'neglected']);
    expect(yard('us', { db }).map((r) => r.surveyId)).toEqual([second]);
  });
});

describe('a fact changes what a later reading of the same batch is judged by', () => {
  it('drowned said now holds the start that follows it', () => {
    const survey = createSurvey(engine(), 'neglected', '', { db });
    const read = (id: string, what: string, value: unknown) => ({ type: 'reading', body: { id, what, value, at } });
    const result = appendBatch(
      survey,
      {
        since: 0,
        factSince: 0,
        facts: [{ id: 'f', path: 'history.submerged', value: 'yes', at }],
        entries: [
          read('p', 'safe.place', 'outdoors'),
          read('w', 'cooling.source', 'tank'),
          read('r', 'run.outcome', 'ran')
        ]
      },
      { db }
    );
    expect(result?.refused).toEqual([{ id: 'r', message: expect.stringMatching(/Drowned/) }]);
  });
});

describe('house rules and instruments', () => {
  it('the latest rules speak, and judge from then on', () => {
    const survey = createSurvey(engine(), 'neglected', '', { db });
    expect(currentRules({ db }).rules).toEqual({});
    saveRules({ schools: { spread: '0.1' } }, 'Ines', { db });
    saveRules({ schools: { spread: '0.2' }, numbers: { fuelDrain: 4 } }, 'Ines', { db });
    expect(loadSurvey(survey, { db })?.survey.houseRules).toEqual({
      schools: { spread: '0.2' },
      numbers: { fuelDrain: 4 }
    });
    expect(() => saveRules({ numbers: { fuelDrain: 4000 } }, '', { db })).toThrow();
  });
  it('an instrument taken off the list is no longer picked', () => {
    const id = addInstrument({ name: 'G', valve: 'plug end' }, { db });
    expect(listInstruments({ db }).map((i) => i.instrument.name)).toEqual(['G']);
    retireInstrument(id, { db });
    expect(listInstruments({ db })).toEqual([]);
    expect(() => addInstrument({ name: '' }, { db })).toThrow();
  });
});

describe('signing', () => {
  it('refuses while a gate is closed', () => {
    const survey = createSurvey(engine(), 'neglected', '', { db });
    expect(() => sign(survey, assess(loadSurvey(survey, { db })!.survey, new Date(at), 'us'), 'Ines', { db })).toThrow(
      /gate/
    );
  });
});
