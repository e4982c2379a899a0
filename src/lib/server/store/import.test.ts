import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { assess } from '../../../core/assess.ts';
import { entriesOf, entryKinds, entryTypes } from '../../../core/record/entries.ts';
import type { SurveyFile } from '../../../core/record/survey-file.ts';
import { readSurveyFile } from '../../../core/survey/read-file.ts';
import { trayLeft, trayOf } from '../../../core/tray/tray.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { appendBatch } from './append.ts';
import { sign } from './releases.ts';
import { importSurvey, loadSurvey } from './surveys.ts';

let db: Db;
let directory: string;
const now = new Date('2026-04-21T09:00:00.000Z');
const o = () => ({ db, now });
beforeEach(() => {
  directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-import-'));
  db = openDatabase(directory);
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(directory, { recursive: true, force: true });
});
const example = (key: string): SurveyFile =>
  JSON.parse(fs.readFileSync(`docs/examples/${key}.json`, 'utf8')) as SurveyFile;
const at = '2026-04-20T09:00:00.000Z';
const withTray = (): SurveyFile => ({
  ...example('swift'),
  tray: [
    { id: 'bolt', at, name: 'Head bolt' },
    { id: 'pin', at, name: 'Split pin', oneTime: true },
    { id: 'pin-2', at, name: 'Split pin, propeller', oneTime: true, supersedes: 'pin' }
  ],
  trayMarks: [
    { id: 'm1', at, part: 'bolt', state: 'refitted' },
    { id: 'm2', at, part: 'pin', state: 'renewed' }
  ]
});
const load = (id: string): SurveyFile => loadSurvey(id, o())!.survey;

describe('an imported survey', () => {
  it('keeps the marks on its tray and can be signed', () => {
    const { surveyId } = importSurvey(withTray(), 'Ines', o());
    const tray = trayOf(load(surveyId));
    expect(tray.map((t) => [t.part.name, t.state, t.open])).toEqual([
      ['Head bolt', 'refitted', false],
      ['Split pin, propeller', 'renewed', false]
    ]);
    expect(trayLeft(tray)).toBeUndefined();
    const a = assess(load(surveyId), now, 'us');
    expect(a.gates.find((g) => g.id === 'tray')?.passes).toBe(true);
    expect(sign(surveyId, a, 'Maud', o()).hash).toMatch(/^[0-9a-f]{64}$/);
  });
  it('can be imported twice without sharing an id', () => {
    const ids = [0, 1].map(() => entriesOf(load(importSurvey(withTray(), 'Ines', o()).surveyId)).map((e) => e.body.id));
    expect(new Set(ids.flat()).size).toBe(ids.flat().length);
  });
  it.each(entryTypes)('with an id twice is refused: %s', (type) => {
    const base = example('gannet');
    const { list } = entryKinds[type];
    const bodies = {
      reading: { what: 'fuel.level', value: 'full' },
      override: { hold: 'fuel', reason: 'tried' },
      step: { step: 'pump', state: 'done' },
      reason: { gate: 'jobs', reason: 'later' },
      wait: { label: 'soak', minutes: 5 },
      decision: { option: 'repair', reason: 'worth it' },
      job: { step: 'own-1', title: 'Paint' },
      part: { key: 'x', name: 'x', state: 'wanted' },
      tray: { name: 'bolt' },
      trayMark: { part: 'bolt', state: 'off' }
    } as const;
    const twice = { id: 'twice', at, ...bodies[type] };
    const file = { ...base, [list]: [...(base[list] ?? []), twice, twice] };
    expect(readSurveyFile(JSON.stringify(file))).toMatchObject({ ok: false, message: expect.stringMatching(/twice/) });
  });
  it('keeps a reading of a cylinder that the engine does not have, and does not judge it', () => {
    const base = example('knot');
    const stray = { id: 'stray', at, what: 'compression.pressure', value: 100_000, cylinder: 9 } as const;
    const read = readSurveyFile(JSON.stringify({ ...base, readings: [...base.readings, stray] }));
    expect(read).toMatchObject({ ok: true });
    if (!read.ok) return;
    expect(assess(read.survey, now, 'us').findings).toEqual(assess(base, now, 'us').findings);
    expect(load(importSurvey(read.survey, 'Ines', o()).surveyId).readings).toHaveLength(base.readings.length + 1);
  });
});

describe('an entry sent by a browser', () => {
  const send = (surveyId: string, body: object, type = 'reading') =>
    appendBatch(surveyId, { since: 0, factSince: 0, entries: [{ type, body }], facts: [] }, o())!.refused;
  it('of a cylinder that is not there is refused with the number there is', () => {
    const { surveyId } = importSurvey(example('knot'), 'Ines', o());
    const cylinders = load(surveyId).engine.profile.cylinders as number;
    const lash = { at, what: 'compression.leakdown', value: 0.1 };
    expect(send(surveyId, { ...lash, id: 'a', cylinder: cylinders })).toEqual([]);
    expect(send(surveyId, { ...lash, id: 'b', cylinder: cylinders + 1 })).toMatchObject([
      { id: 'b', message: expect.stringMatching(`has ${cylinders} cylinders`) }
    ]);
  });
  it('twice is no harm; another with its id is refused and says so', () => {
    const { surveyId } = importSurvey(example('knot'), 'Ines', o());
    const other = importSurvey(example('swift'), 'Ines', o()).surveyId;
    const body = { id: 'one', at, what: 'fuel.level', value: 'full' };
    const message = expect.stringMatching(/another entry has the id "one"/);
    expect(send(surveyId, body)).toEqual([]);
    expect(send(surveyId, body)).toEqual([]);
    expect(send(surveyId, { ...body, value: 'empty' })).toMatchObject([{ id: 'one', message }]);
    expect(send(other, body)).toMatchObject([{ id: 'one', message }]);
    expect(load(surveyId).readings.filter((r) => r.id === 'one')).toMatchObject([{ value: 'full' }]);
  });
});
