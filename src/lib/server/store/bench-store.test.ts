import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { seed } from '../../../../demo/seed.ts';
import { benchData, firstPlan } from '../bench.ts';
import { careOf } from '../care.ts';
import { ordersOf, togetherFor } from '../parts.ts';
import { openDatabase, type Db } from '../db/open.ts';
import { appendBatch } from './append.ts';
import { createEngine } from './engines.ts';
import { queryOf, searchAll } from './search.ts';
import { addPin, currentBench, currentPacks, currentPins, saveBench, savePacks } from './shop.ts';
import { createSurvey, historyOf, loadSurvey, openSurveys } from './surveys.ts';
import { PAGE, yard, yardPage } from './yard.ts';
import { usualBench } from '../../../core/schedule/settings.ts';

let db: Db;
let directory: string;
const now = new Date(2026, 3, 20, 9, 0);
beforeEach(() => {
  directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-bench-'));
  db = openDatabase(directory);
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(directory, { recursive: true, force: true });
});
const o = () => ({ db, now });
const row = (tag: string) => yard('us', o()).find((r) => r.tag === tag)!;
const put = (surveyId: string, type: string, body: object) =>
  appendBatch(
    surveyId,
    { since: 0, factSince: 0, entries: [{ type, body: { at: now.toISOString(), ...body } }], facts: [] },
    o()
  )!;

describe('the bench of the demo yard', () => {
  it('what the yard takes together goes by its open work and by how it is sold; a new list leaves the old one on record', () => {
    seed(now, o());
    const plugs = () => togetherFor('us', undefined, o()).find((t) => t.supply === 'sparkPlugs')!;
    expect(plugs()).toMatchObject({ amount: '5', best: '1 × single + 1 × set, 33.50 cr, nothing left over' });
    const before = currentPacks(o());
    savePacks([...before, { supply: 'sparkPlugs', called: 'box', holds: 5, price: 20 }], 'Ines', o());
    expect(plugs().best).toBe('1 × box, 20 cr, nothing left over');
    savePacks([], 'Ines', o());
    expect(plugs()).toMatchObject({ amount: '5', packs: [] });
    expect(db.$client.prepare("select count(*) n from shop where kind = 'packs'").get()).toEqual({ n: 3 });
    const one = benchData('us', o()).input.engines.find((e) => e.tag === 'Gannet')!;
    expect(togetherFor('us', row(one.tag).engineId, o()).every((t) => t.engines + t.unknown === 1)).toBe(true);
  });
  it('today’s list begins with what runs out: drowned, frost; drains and soaks are used', () => {
    seed(now, o());
    const { input } = benchData('us', o());
    const { plan, today } = firstPlan(input);
    const first = today.people.map((p) => `${p.list[0]?.tag}: ${p.list[0]?.step}`);
    expect(first).toContain('Eel: empty-cylinders');
    expect(first).toContain('Plover: frost');
    expect(today.people.every((p) => p.list.length > 3)).toBe(true);
    expect(today.people.flatMap((p) => p.list).some((t) => /goes on by itself/.test(t.hint ?? ''))).toBe(true);
    expect(plan.left.some((l) => l.tag === 'Wren' && /nobody knows for when/.test(l.because))).toBe(true);
    expect(plan.solution.gap).toBeLessThan(0.07);
  });
  it('a delivery that moves is planned anew', () => {
    seed(now, o());
    const begins = () => firstPlan(benchData('us', o()).input).plan.rows.find((r) => r.step === 'head-gasket')!.begins;
    const before = begins();
    const { surveyId } = row('Gannet');
    const line = loadSurvey(surveyId, o())!.survey.parts!.find((p) => p.step === 'head-gasket')!;
    expect(put(surveyId, 'part', { ...line, id: 'later', at: now.toISOString(), due: '2026-05-08' }).refused).toEqual(
      []
    );
    expect(new Date(begins()).getDate()).toBe(8);
    expect(begins()).toBeGreaterThan(before);
  });
  it('keeps people and pins; the latest word on each step counts', () => {
    expect(currentBench(o()).chosen).toBe(false);
    saveBench({ ...usualBench, people: ['Ada'] }, 'Ada', o());
    expect(currentBench(o())).toMatchObject({ chosen: true, bench: { people: ['Ada'] } });
    addPin({ engine: 'e', step: 's', person: 'Ada' }, 'Ada', o());
    addPin({ engine: 'e', step: 't', at: now.toISOString() }, 'Ada', o());
    addPin({ engine: 'e', step: 's', off: true }, 'Ada', o());
    expect(currentPins(o()).map((p) => p.step)).toEqual(['t']);
  });
});

describe('lists over the yard', () => {
  it('orders: what is wanted, ordered and here, with the offer taken and why', () => {
    seed(now, o());
    const gasket = ordersOf('us', undefined, o())
      .find((e) => e.tag === 'Gannet')!
      .lines.find((l) => l.name === 'head gasket')!;
    expect(gasket).toMatchObject({ state: 'ordered', chosen: 0, choice: { take: 0 } });
    expect(gasket.choice.because).toMatch(/differ 2.4 times/);
  });
  it('care: of an engine with several seasons, by all of its assessments', () => {
    seed(now, o());
    const { engineId } = row('Swift');
    expect(historyOf(engineId, o()).length).toBe(4);
    expect(careOf(engineId, o())!.due.length).toBeGreaterThan(4);
    expect(careOf('nobody', o())).toBeUndefined();
  });
  it('search finds findings, notes, owners and parts, by the beginnings of words, whatever is typed', () => {
    seed(now, o());
    yard('us', o());
    const tags = (q: string) =>
      searchAll(q, 40, o()).map((h) => openSurveys(o()).find((s) => s.id === h.surveyId)!.engineId);
    expect(tags('insulation hand')).toContain(row('Bittern').engineId);
    expect(tags('HG-6')).toContain(row('Gannet').engineId);
    expect(tags('frost')).toContain(row('Plover').engineId);
    expect(searchAll('zzz', 40, o())).toEqual([]);
    for (const odd of ['"', "'; drop table search; --", 'NEAR(', '*', '', '  ', 'a OR b', '\u0000'])
      expect(() => searchAll(odd, 40, o())).not.toThrow();
    expect(queryOf('Leg "bolt')).toBe('"Leg"* "bolt"*');
  });
  it('a page of the yard holds so many engines, most pressing first, and all of them once', () => {
    for (let k = 0; k < 40; k++) {
      const id = createEngine([{ path: 'identity.tag', value: `T${String(k).padStart(2, '0')}` }], 'Ada', o());
      createSurvey(id, 'neglected', 'Ada', o());
    }
    const pages = [1, 2, 3].map((p) => yardPage('us', { page: p }, o()));
    expect(pages[0]).toMatchObject({ total: 40, found: 40, pages: 2, waiting: 0 });
    expect(pages.map((p) => p.rows.length)).toEqual([PAGE, PAGE, 0]);
    expect(new Set(pages.flatMap((p) => p.rows.map((r) => r.tag))).size).toBe(40);
    expect(yardPage('us', { search: 't0' }, o())).toMatchObject({ found: 10, total: 40 });
    expect(yardPage('us', { search: "'" }, o()).found).toBe(0);
  });
  it('a line is judged anew when something is added, and only then', () => {
    seed(now, o());
    const { surveyId } = row('Dunlin');
    const before = row('Dunlin').stations.find((s) => s.id === 'fuel')!.condition;
    expect(put(surveyId, 'reading', { id: 'jar', what: 'fuel.jar', value: 'layers' }).refused).toEqual([]);
    expect(row('Dunlin').stations.find((s) => s.id === 'fuel')!.condition).not.toBe(before);
  });
  it('a finished single job leaves the engine idle', () => {
    seed(now, o());
    const { engineId } = row('Curlew');
    const surveyId = createSurvey(engineId, 'single-job', 'Ada', o());
    put(surveyId, 'step', { id: 'f1', step: 'flow.gear-oil', state: 'open' });
    expect(row('Curlew')).toMatchObject({ flow: { id: 'gear-oil' }, releasedAt: null });
    put(surveyId, 'step', {
      id: 'f2',
      at: new Date(now.getTime() + 1000).toISOString(),
      step: 'flow.gear-oil',
      state: 'done'
    });
    expect(row('Curlew').releasedAt).not.toBeNull();
    expect(benchData('us', o()).idle.some((i) => i.tag === 'Curlew')).toBe(true);
  });
});
