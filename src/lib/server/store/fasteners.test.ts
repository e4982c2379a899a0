import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open.ts';
import { createEngine } from './engines.ts';
import { fastenersFor } from './fasteners.ts';
import { appendEntry, createSurvey } from './surveys.ts';

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-fasteners-'));
const db = openDatabase(folder);
afterAll(() => {
  db.$client.close();
  fs.rmSync(folder, { recursive: true, force: true });
});

let n = 0;
function assessment(tag: string, model: string | undefined, maker?: string): string {
  const facts = [
    { path: 'identity.tag', value: tag },
    ...(model === undefined ? [] : [{ path: 'identity.model', value: model }]),
    ...(maker === undefined ? [] : [{ path: 'identity.maker', value: maker }])
  ];
  const engine = createEngine(facts, '', { db });
  return createSurvey(engine, 'neglected', '', { db, now: new Date(Date.UTC(2026, 3, 1 + n++)) });
}
function off(survey: string, name: string, more: object = {}): void {
  const body = {
    id: crypto.randomUUID(),
    at: '2026-04-02T08:00:00.000Z',
    name,
    head: '13 mm hexagon',
    step: 'pump',
    ...more
  };
  appendEntry(survey, { type: 'tray', body }, { db });
}
const names = (survey: string): string[] => fastenersFor(survey, { db }).map((f) => f.name);

describe('the fasteners of a model', () => {
  it('are those of its other engines, whatever the case of its name, and of no other model or maker', () => {
    off(assessment('Knot', 'P20', 'Petrelle'), 'leg bolt');
    off(assessment('Rail', 'P40', 'Petrelle'), 'other model');
    off(assessment('Coot', 'P20', 'Someone'), 'other maker');
    const second = assessment('Stint', ' p20 ', 'PETRELLE');
    off(second, 'its own, at hand');
    expect(names(second)).toEqual(['leg bolt']);
    expect(fastenersFor(second, { db })[0]).toMatchObject({ from: 'Knot, 2026-04-01', head: '13 mm hexagon' });
  });
  it('are none for an engine whose model nobody wrote down', () => {
    off(assessment('Nameless', undefined), 'bolt of a nameless one');
    expect(names(assessment('Also nameless', undefined))).toEqual([]);
    expect(names(assessment('Empty', ''))).toEqual([]);
  });
  it('leave out what was taken back, and follow a correction', () => {
    const one = assessment('One', 'Q9');
    const [wrong, gone] = [crypto.randomUUID(), crypto.randomUUID()];
    off(one, 'cover screw', { id: wrong, head: '10 mm' });
    off(one, 'cover screw', { supersedes: wrong, head: '8 mm' });
    off(one, 'never was', { id: gone });
    off(one, 'never was', { supersedes: gone, withdrawn: true });
    const two = assessment('Two', 'Q9');
    expect(fastenersFor(two, { db }).map((f) => [f.name, f.head])).toEqual([['cover screw', '8 mm']]);
  });
  it('are found quickly in a large yard', () => {
    for (let k = 0; k < 40; k++) off(assessment(`Many ${k}`, 'M1'), `bolt ${k % 7}`);
    expect(names(assessment('Last', 'M1'))).toHaveLength(7);
  });
  it('are none for an assessment that there is not', () => {
    expect(fastenersFor('constructor', { db })).toEqual([]);
  });
});
