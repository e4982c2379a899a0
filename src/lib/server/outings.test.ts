import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { factsOf, engineOf } from '../../core/engine/fact.ts';
import { openDatabase, type Db } from './db/open.ts';
import { createEngine, factsAfter, loadEngine } from './store/engines.ts';
import { createSurvey } from './store/surveys.ts';
import { keepOuting, outingsOf, parseLevel, readOuting, takeBackOuting } from './outings.ts';

const now = new Date('2026-07-01T12:00:00Z');
const form = (fields: Record<string, string>): FormData => {
  const f = new FormData();
  for (const [k, v] of Object.entries({ on: '2026-06-30', ...fields })) f.set(k, v);
  return f;
};
const read = (fields: Record<string, string>) => readOuting(form(fields), 0.012, 'metric', now);

describe('an outing from a form', () => {
  it('takes figures in any unit, levels as height or share, and leaves out what was not looked at', () => {
    const told = read({
      ran: '90 min',
      idle: 'half',
      oilBefore: '3/4',
      oilAfter: '50 %',
      added: '100',
      stream: 'weak'
    });
    const { outing } = told as { outing: Record<string, unknown> };
    expect(outing).toMatchObject({ on: '2026-06-30', ran: 1.5, idle: 0.5, stream: 'weak' });
    for (const [key, si] of [
      ['oilBefore', 0.009],
      ['oilAfter', 0.006],
      ['added', 1e-4]
    ] as const)
      // prettier-ignore
      expect(outing[key]).toBeCloseTo(si, 9);
    expect(Object.keys(outing)).toHaveLength(7);
    expect(read({ ran: '2', meter: 'unknown', idle: 'hasOwnProperty', stream: '__proto__' })).toEqual({
      outing: { on: '2026-06-30', ran: 2 }
    });
  });
  it('says what is wrong beside each field and keeps all that was typed', () => {
    const refused = read({ on: '2026-13-40', ran: 'long', meter: '-3', remark: 'choppy' });
    expect(refused).toMatchObject({ typed: { on: '2026-13-40', ran: 'long', remark: 'choppy' } });
    expect(Object.keys('errors' in refused ? refused.errors : {})).toEqual(expect.arrayContaining(['on', 'ran']));
    expect(read({ on: '2027-01-01', ran: '1' })).toMatchObject({
      errors: { on: expect.stringMatching(/not come yet/) }
    });
    expect(read({})).toMatchObject({ errors: { ran: expect.stringMatching(/How long/) } });
    expect(read({ ran: '500' })).toHaveProperty('errors');
  });
  it('a share of the stick is no fraction by nothing', () => {
    expect(parseLevel('1/0', 0.012, 'metric').ok).toBe(false);
    expect(parseLevel('-4 mm', 0.012, 'metric')).toMatchObject({ ok: true, si: -0.004 });
  });
});

describe('the log of an engine', () => {
  let db: Db | undefined;
  const dir = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-outings-'));
  const o = () => ({ db: (db = openDatabase(dir)), now });
  afterEach(() => {
    db?.$client.close();
    fs.rmSync(dir, { recursive: true, force: true });
  });
  it('is kept once though its form was sent twice, is taken back by an entry more, and travels with the engine', () => {
    const at = o();
    const id = createEngine([{ path: 'profile.strokes', value: 'four' }], 'Ines', at);
    createSurvey(id, 'spring-return', 'Ines', at);
    for (let n = 0; n < 2; n++)
      keepOuting(id, 'a-form', { on: '2026-06-30', ran: 2, oilAfter: 0.008 }, 'owner', now, at);
    keepOuting(id, '../../x', { on: '2026-07-01', ran: 1 }, 'owner', now, at);
    const view = outingsOf(id, now, 'metric', at)!;
    expect(view.totals).toMatchObject({ outings: 2, hours: 3 });
    expect(view.oil!.verdict).toBe('cannot-tell');
    const engine = loadEngine(id, at);
    expect(engineOf(factsOf(engine))).toEqual(engine);
    expect(takeBackOuting(id, 'a-form', 'Ines', now, at)).toBe(true);
    expect(takeBackOuting(id, 'a-form', 'Ines', now, at)).toBe(false);
    expect(takeBackOuting(id, '__proto__', 'Ines', now, at)).toBe(false);
    expect(outingsOf(id, now, 'metric', at)!.totals.outings).toBe(1);
    expect(factsAfter(id, 0, at).filter((f) => f.path === 'outings.a-form')).toHaveLength(2);
  });
});
