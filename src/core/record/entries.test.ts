import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { entriesOf, entryTypes, withEntries, withFreshIds, withoutEntries, type Entry } from './entries.ts';
import { schemas, surveyFileSchema } from '../survey/schema.ts';

const at = '2026-05-02T08:00:00.000Z';
/** One entry of each kind. */
const entries = [
  { type: 'reading', body: { id: 'a', at, what: 'fuel.level', value: 'full' } },
  { type: 'override', body: { id: 'b', at, hold: 'fuel', reason: 'drained' } },
  { type: 'step', body: { id: 'c', at, step: 'pump', state: 'done' } },
  { type: 'reason', body: { id: 'd', at, gate: 'jobs', reason: 'later' } },
  { type: 'wait', body: { id: 'e', at, label: 'soak', minutes: 5 } },
  { type: 'decision', body: { id: 'f', at, option: 'repair', reason: 'worth it' } },
  { type: 'job', body: { id: 'g', at, step: 'own-1', title: 'Paint' } },
  { type: 'part', body: { id: 'h', at, key: 'x', name: 'x', state: 'wanted' } },
  { type: 'tray', body: { id: 'i', at, name: 'bolt' } },
  { type: 'trayMark', body: { id: 'j', at, part: 'i', state: 'off' } }
] as const satisfies readonly Entry[];
const all = withEntries(new Bench().survey, entries);

describe('the register of entries', () => {
  it('has a schema for every kind, and a list that the survey file knows', () => {
    expect(Object.keys(schemas).sort()).toEqual([...entryTypes].sort());
    expect(entries.map((e) => e.type)).toEqual(entryTypes);
    for (const e of entries) expect([e.type, schemas[e.type].safeParse(e.body).success]).toEqual([e.type, true]);
    expect(surveyFileSchema.safeParse(all).error?.issues).toBeUndefined();
  });
  it('gives back what was put in, and nothing twice', () => {
    expect(entriesOf(all)).toEqual(entries);
    expect(entriesOf(withEntries(all, entries))).toEqual(entries);
    expect(withEntries(all, [])).toBe(all);
  });
  it('takes out what was refused, of any kind', () => {
    for (const e of entries)
      expect(entriesOf(withoutEntries(all, new Set([e.body.id])))).toEqual(entries.filter((x) => x !== e));
    expect(withoutEntries(all, new Set())).toBe(all);
  });
  it('gives fresh ids, and what named an entry names it still', () => {
    const more: Entry[] = [...entries, { type: 'tray', body: { id: 'k', at, name: 'bolt, M6', supersedes: 'i' } }];
    let n = 0;
    const fresh = withFreshIds(more, () => `new-${n++}`);
    expect(new Set(fresh.map((e) => e.body.id)).size).toBe(more.length);
    const tray = fresh.filter((e) => e.type === 'tray').map((e) => e.body);
    expect(tray[1]).toMatchObject({ supersedes: tray[0]!.id });
    expect(fresh.find((e) => e.type === 'trayMark')?.body).toMatchObject({ part: tray[0]!.id });
  });
});
