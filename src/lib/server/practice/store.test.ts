import { codeOf, type PracticeSet } from '$core/practice/set-code.ts';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  attemptsOf,
  begin,
  boardOf,
  calibrationFor,
  debrief,
  doDeed,
  open,
  openPractice,
  state,
  type PracticeDb
} from './store.ts';

let directory: string;
let db: PracticeDb;
beforeAll(() => {
  directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-practice-'));
  db = openPractice(directory);
});
afterAll(() => {
  db.$client.close();
  fs.rmSync(directory, { recursive: true, force: true });
});

const set: PracticeSet = { seed: 99, count: 2, difficulty: 'easy', theme: 'any', advice: 'open' };

describe('exercises on the server', () => {
  it('lie in a file of their own', () => {
    expect(fs.readdirSync(directory).filter((f) => f.endsWith('.sqlite'))).toEqual(['practice.sqlite']);
  });
  it('are begun, gone on with, and made again from what was done', () => {
    const id = begin('ready', 'lead', 1, 'Ada', { db })!;
    expect(doDeed(id, { kind: 'look', act: 'safe' }, { db })).toMatchObject({ ok: true });
    expect(doDeed(id, { kind: 'look', act: 'constructor' }, { db })).toMatchObject({ ok: false });
    const before = open(id, { db })!.exercise.survey;
    const again = openPractice(directory);
    // Begun once more by the same person it is the same attempt; by another it is not.
    expect(begin('ready', 'lead', 1, 'Ada', { db: again })).toBe(id);
    expect(begin('ready', 'lead', 1, 'Bo', { db: again })).not.toBe(id);
    expect(open(id, { db: again })!.exercise.survey).toEqual(before);
    again.$client.close();
  });
  it('nothing begins by a name or code that is none', () => {
    expect(begin('ready', '__proto__', 1, 'Ada', { db })).toBeUndefined();
    expect(begin('set', 'AAAA-AAAA', 1, 'Ada', { db })).toBeUndefined();
    expect(begin('set', codeOf(set), 3, 'Ada', { db })).toBeUndefined();
    expect(open('nobody', { db })).toBeUndefined();
    expect(doDeed('nobody', { kind: 'ask' }, { db })).toBeUndefined();
  });
  it('end with the statement, which stands; the debrief comes within a second', async () => {
    const id = begin('ready', 'lead', 1, 'Cy', { db })!;
    expect(await debrief(id, { db })).toBeUndefined();
    for (let k = 0; k < 8; k++) doDeed(id, { kind: 'follow' }, { db });
    expect(await state(id, { marks: { 'lead.1': 'likely' }, option: 'repair', cost: 60 }, { db })).toBe(true);
    expect(await state(id, { marks: {} }, { db })).toBe(true);
    const d = (await debrief(id, { db }))!;
    expect(d.truth[0]).toMatchObject({ id: 'lead.1', said: 'likely' });
    expect(doDeed(id, { kind: 'follow' }, { db })).toEqual({ ok: false, says: 'This exercise is over.' });
    const c = calibrationFor('Cy', { db });
    expect(c.exercises).toBe(1);
    expect(c.brier).toBeLessThan(c.baseline);
    expect(c.words[0]).toEqual({ mark: 'likely', said: 1, true: 1 });
  });
  it('a set’s board shows everybody, whatever way the code was typed', () => {
    const code = codeOf(set);
    begin('set', code.toLowerCase(), 1, 'Ada', { db });
    begin('set', code, 2, 'Ada', { db });
    begin('set', code.replace('-', ''), 1, 'Bo', { db });
    expect(boardOf(set, { db }).map((a) => [a.who, a.number])).toEqual([
      ['Ada', 1],
      ['Ada', 2],
      ['Bo', 1]
    ]);
    expect(attemptsOf('Bo', { db })).toHaveLength(2);
  });
});
