import { describe, expect, it } from 'vitest';
import { Bench } from '../../../test/case.ts';
import { cylinderCount } from '../engine/profile.ts';
import { allItems, itemIds, stationOf } from '../stations/items.ts';
import { stations } from '../stations/register.ts';
import type { Move } from './move.ts';
import { MOST_QUESTIONS, questionsOf } from './questions.ts';

const twin = { strokes: 'two', cylinders: 2, ignition: 'cdi', displacement: 430e-6 } as const;
const move = (m: Partial<Move>): Move => ({
  kind: 'look',
  class: 6,
  id: 'x',
  title: 'x',
  minutes: 1,
  because: 'x',
  ...m
});

describe('what a move asks for, one field at a time', () => {
  it('asks of each cylinder what belongs to a cylinder, and of one where the move names it', () => {
    const m = move({ station: 'plugs', items: ['plugs.read'] });
    expect(questionsOf(m, twin)).toEqual([
      { what: 'plugs.read', cylinder: 1 },
      { what: 'plugs.read', cylinder: 2 }
    ]);
    expect(questionsOf({ ...m, cylinder: 2 }, twin)).toEqual([{ what: 'plugs.read', cylinder: 2 }]);
  });
  it('what is read under conditions is read where they stand, with its gauge', () => {
    for (const what of ['compression.pressure', 'spark.result'] as const)
      expect(questionsOf(move({ station: stationOf(what), items: [what] }), twin), what).toEqual([]);
  });
  it('a series or the stages of a test are made on their sheet', () => {
    expect(questionsOf(move({ station: 'gear', items: ['gear.casePressure'] }), twin)).toEqual([]);
  });
  it('what belongs to a bank is never asked of an engine with two, by its layout or by its number of cylinders', () => {
    const perBank = itemIds.filter((i) => allItems[i].perBank);
    expect(perBank.length).toBeGreaterThan(0);
    for (const what of perBank) {
      const m = move({ station: stationOf(what), items: [what] });
      expect(questionsOf(m, { ...twin, layout: 'v' }), what).toEqual([]);
      expect(questionsOf(m, { ...twin, cylinders: 6 }), what).toEqual([]);
    }
  });
  it('work, waits and proofs ask nothing here', () => {
    expect(questionsOf(move({ kind: 'job', station: 'spark', items: ['spark.result'] }), twin)).toEqual([]);
    expect(questionsOf(move({ id: 'proof:lead', station: 'spark' }), twin)).toEqual([]);
  });
  it('a move that does not say what it reads opens its check', () => {
    expect(questionsOf(move({ station: 'spark' }), twin)).toEqual([]);
  });
  it('a whole check asks its first pass, one question at a time, as far as this engine has it', () => {
    expect(questionsOf(move({ id: 'look:safe', station: 'safe' }), twin).map((q) => q.what)).toEqual([
      'safe.lanyard',
      'safe.battery',
      'safe.propeller',
      'safe.secured',
      'safe.place'
    ]);
    const look = questionsOf(move({ id: 'look:look', station: 'look' }), twin);
    expect(look.length).toBeGreaterThan(10);
    expect(questionsOf(move({ id: 'look:turn', station: 'turn' }), twin)[0]).toEqual({ what: 'turn.plugs' });
    expect(questionsOf(move({ id: 'look:turn', station: 'turn', items: ['turn.depth'] }), twin)).toHaveLength(2);
  });
  it('every name of a first pass is an item of its check that a question can ask', () => {
    for (const [id, station] of Object.entries(stations)) {
      const names: readonly string[] = ('firstPass' in station ? station.firstPass : undefined) ?? [];
      expect(names.length).toBeLessThanOrEqual(MOST_QUESTIONS);
      for (const name of names) expect(itemIds, name).toContain(`${id}.${name}`);
    }
  });
  it('every question of every first move exists on this engine and is of the check that the move names', () => {
    for (const profile of [twin, { strokes: 'four', cylinders: 6, ignition: 'cdi', displacement: 2.6e-3 } as const]) {
      for (const m of new Bench(profile).assessed().moves) {
        const list = questionsOf(m, profile);
        expect(list.length).toBeLessThanOrEqual(MOST_QUESTIONS);
        for (const q of list) {
          expect(q.what.startsWith(`${m.station}.`)).toBe(true);
          expect(allItems[q.what].when?.(profile) ?? true).toBe(true);
          if (q.cylinder !== undefined) expect(q.cylinder).toBeLessThanOrEqual(cylinderCount(profile)!);
        }
      }
    }
  });
});
