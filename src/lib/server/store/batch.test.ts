import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { assess } from '../../../core/assess.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { seed } from '../../../../demo/seed.ts';
import { appendBatch } from './append.ts';
import { createEngine, loadEngine } from './engines.ts';
import { lastRelease, sign } from './releases.ts';
import { createSurvey, loadSurvey, surveysOf } from './surveys.ts';
import { yard } from './yard.ts';

let dir: string;
let db: Db;
let engineId: string;
let survey: string;
const o = () => ({ db });
beforeEach(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-batch-'));
  db = openDatabase(dir);
  engineId = createEngine([{ path: 'profile.cylinders', value: 4 }], 'Ines', o());
  survey = createSurvey(engineId, 'neglected', 'Ines', o());
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(dir, { recursive: true });
});
const at = (minute: number): string => `2026-05-02T08:${String(minute).padStart(2, '0')}:00.000Z`;
const pressure = (id: string, cylinder: number, minute: number) => ({
  type: 'reading',
  body: { id, at: at(minute), what: 'compression.pressure', cylinder, value: 7e5 }
});
const cylinders = (id: string, value: number, minute: number) => ({
  id,
  path: 'profile.cylinders',
  value,
  at: at(minute)
});
const send = (entries: { type: string; body: object }[], facts: object[] = [], order?: string[]) =>
  appendBatch(survey, { since: 0, factSince: 0, entries, facts, ...(order ? { order } : {}) }, o())!;

describe('a batch is taken in the order in which it was made', () => {
  it('what was read before the profile was corrected is kept, what was read after it is refused', () => {
    const { refused } = send([pressure('a', 4, 1), pressure('b', 4, 3)], [cylinders('f', 2, 2)]);
    expect(refused.map((r) => r.id)).toEqual(['b']);
    expect(loadEngine(engineId, o()).profile.cylinders).toBe(2);
  });
  it('its own order counts before its times: a device’s clock may have been set meanwhile', () => {
    const { refused } = send([pressure('a', 4, 30), pressure('b', 4, 1)], [cylinders('f', 2, 2)], ['a', 'f', 'b']);
    expect(refused.map((r) => r.id)).toEqual(['b']);
  });
  it('of one cylinder, a reading that names none is of that one, and sent again it is the same', () => {
    const { cylinder: _none, ...unplaced } = pressure('a', 4, 3).body;
    const entry = { type: 'reading', body: unplaced };
    expect(send([entry], [cylinders('f', 1, 2)]).refused).toEqual([]);
    expect(loadSurvey(survey, o())!.survey.readings.map((r) => r.cylinder)).toEqual([1]);
    expect(send([entry]).refused).toEqual([]);
    expect(loadSurvey(survey, o())!.survey.readings).toHaveLength(1);
  });
  it('of several, a reading of one cylinder that names none is refused with what is missing; of a number nobody knows it is kept', () => {
    const { cylinder: _none, ...unplaced } = pressure('a', 4, 3).body;
    const entry = { type: 'reading', body: unplaced };
    expect(send([entry]).refused).toMatchObject([{ id: 'a', message: expect.stringMatching(/Say at which/) }]);
    expect(loadSurvey(survey, o())!.survey.readings).toEqual([]);
    expect(send([entry], [{ ...cylinders('f', 0, 2), value: 'unknown' }]).refused).toEqual([]);
  });
  it('times with offsets are instants', () => {
    const entry = { type: 'reading', body: { ...pressure('a', 4, 0).body, at: '2026-05-02T10:01:00+02:00' } };
    expect(send([entry], [cylinders('f', 2, 2)]).refused).toEqual([]);
  });
});

describe('what was confirmed is never refused later', () => {
  const hold = {
    type: 'reading',
    body: { id: 'held', at: at(5), what: 'turn.result', value: 'stuck' }
  };
  it('a resent reading is acknowledged though the engine has fewer cylinders by now', () => {
    expect(send([pressure('a', 4, 1)]).refused).toEqual([]);
    send([], [cylinders('f', 2, 2)]);
    expect(send([pressure('a', 4, 1)]).refused).toEqual([]);
    expect(send([pressure('c', 4, 3)]).refused).toHaveLength(1);
  });
  it('and though a hold forbids it by now', () => {
    expect(send([pressure('a', 1, 1)]).refused).toEqual([]);
    send([hold]);
    expect(send([pressure('a', 1, 1)]).refused).toEqual([]);
  });
  it('another reading, or another fact, under a known id is told so', () => {
    send([pressure('a', 1, 1)], [cylinders('f', 4, 1)]);
    expect(send([pressure('a', 2, 1)]).refused[0]?.message).toMatch(/another entry has the id/);
    expect(send([], [cylinders('f', 3, 1)]).refused[0]?.message).toMatch(/another entry has the id/);
    expect(send([], [cylinders('f', 4, 1)]).refused).toEqual([]);
  });
  it('an answer says what the server’s clock shows', () => {
    expect(Date.parse(send([]).now ?? '')).not.toBeNaN();
  });
});

describe('times that cannot be', () => {
  it.each(['1900-01-01T00:00:00Z', '9999-12-31T23:59:59Z', '0001-01-01T00:00:00Z'])(
    '%s is refused with a sentence',
    (when) => {
      const { refused } = send([{ type: 'reading', body: { ...pressure('a', 1, 1).body, at: when } }]);
      expect(refused[0]?.message).toMatch(/cannot be right here/);
      expect(send([], [{ ...cylinders('f', 2, 1), at: when }]).refused[0]?.message).toMatch(/cannot be right here/);
    }
  );
});

describe('who may sign', () => {
  const override = {
    type: 'override',
    body: { id: 'o', at: at(1), by: 'Maud', hold: 'drowned', reason: 'it was dry' }
  };
  const by = (actor: object) =>
    appendBatch(survey, { since: 0, factSince: 0, entries: [override], facts: [] }, { db, actor })!;
  it('nobody without a name, no apprentice, and nobody with another’s', () => {
    expect(by({}).refused[0]?.message).toMatch(/signed with a name and its PIN/);
    expect(by({ name: 'Maud', role: 'apprentice' }).refused[0]?.message).toMatch(/is an apprentice/);
    expect(by({ name: 'Jory', role: 'technician' }).refused[0]?.message).toMatch(/Jory is signed in/);
    expect(by({ name: 'Maud', role: 'technician' }).refused).toEqual([]);
  });
  it('anybody takes readings', () => {
    const actor = { name: 'Lin', role: 'apprentice' } as const;
    const batch = { since: 0, factSince: 0, entries: [pressure('a', 1, 1)], facts: [] };
    expect(appendBatch(survey, batch, { db, actor })!.refused).toEqual([]);
  });
});

describe('the order here counts, whatever the server’s clock was set to', () => {
  const yesterday = new Date('2026-04-01T09:00:00Z');
  it('an assessment begun with the clock set back is the newest all the same', () => {
    const next = createSurvey(engineId, 'spring-return', 'Ines', { db, now: yesterday });
    expect(surveysOf(engineId, o())[0]?.id).toBe(next);
  });
  it('and so is a signature', () => {
    const now = new Date(2026, 3, 20, 9, 0);
    seed(now, { db, now });
    const { surveyId } = yard('us', { db, now }).find((r) => r.tag === 'Swift')!;
    const assessment = assess(loadSurvey(surveyId, o())!.survey, now, 'us');
    sign(surveyId, assessment, 'Maud', { db, now });
    const second = sign(surveyId, assessment, 'Jory', { db, now: new Date(now.getTime() - 864e5) });
    expect(lastRelease(surveyId, o())?.id).toBe(second.id);
  });
});
