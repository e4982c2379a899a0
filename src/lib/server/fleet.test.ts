import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { flowById } from '../../core/care/flows.ts';
import { fleetFor, giveTo, ownersOf, tickForAll } from './fleet.ts';
import { openDatabase, type Db } from './db/open.ts';
import { createEngine } from './store/engines.ts';
import { createSurvey, loadSurvey, surveysOf } from './store/surveys.ts';

let dir: string;
let db: Db;
const now = new Date('2026-11-01T10:00:00Z');
const o = () => ({ db, now });
beforeEach(() => {
  dir = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-fleet-'));
  db = openDatabase(dir);
});
afterEach(() => {
  db.$client.close();
  fs.rmSync(dir, { recursive: true, force: true });
});
const engine = (tag: string, owner: string): string => {
  const said = {
    'identity.tag': tag,
    'identity.owner': owner,
    'profile.strokes': 'two',
    'profile.fuelSystem': 'carburettor',
    'profile.displacement': 4e-4,
    'profile.cylinders': 2
  };
  const id = createEngine(
    Object.entries(said).map(([p, value]) => ({ path: p, value })),
    'Ines',
    o()
  );
  createSurvey(id, 'lay-up', 'Ines', o());
  return id;
};
const layUp = flowById('lay-up')!;

it('a club’s boats are laid up together, one tick is an entry in each, and the spring of each knows it', () => {
  const club = Array.from({ length: 12 }, (_, k) => engine(`Boat ${k + 1}`, 'Rowing club'));
  engine('Other', 'Somebody');
  expect(ownersOf(o())[0]).toEqual({ owner: 'Rowing club', engines: 12 });
  expect(fleetFor(layUp, 'Rowing club', now, 'metric', o()).rows).toHaveLength(12);
  expect(tickForAll(layUp, 'treat', club.slice(0, 5), 'Lin', o())).toEqual({ done: 5, refused: [] });
  // A second person ticks some of the same: those are not ticked twice.
  expect(tickForAll(layUp, 'treat', club.slice(3), 'Jory', o())).toEqual({ done: 7, refused: [] });
  tickForAll(layUp, 'bores', club, 'Lin', o());
  const f = fleetFor(layUp, 'Rowing club', now, 'metric', o());
  expect(f.steps.find((s) => s.id === 'treat')).toMatchObject({ of: 12, done: 12 });
  expect(f.rows[4]!.steps.get('treat')).toMatchObject({ done: true, by: 'Lin' });
  const spring = createSurvey(club[0]!, 'spring-return', 'Ines', o());
  const left = loadSurvey(spring, o())!.survey.readings;
  expect(left.map((r) => [r.what, r.value])).toEqual([['fuel.stabilised', 'yes']]);
});

it('a step that an engine does not have, and one that is not in the yard, do no harm', () => {
  const id = engine('Eel', 'Club');
  expect(tickForAll(layUp, 'oil', [id], 'Lin', o())).toEqual({ done: 0, refused: [] });
  expect(tickForAll(layUp, '__proto__', [id], 'Lin', o())).toEqual({ done: 0, refused: [] });
  expect(tickForAll(layUp, 'treat', ['nobody'], 'Lin', o()).refused).toHaveLength(1);
  expect(surveysOf(id, o())).toHaveLength(1);
});

it('gives engines into hands, asks for those of one person, and takes them back', () => {
  const [a, b] = [engine('Tern', 'Club'), engine('Knot', 'Club')];
  expect(giveTo([a], ' Mo ', 'Ines', o())).toBe(1);
  // Given twice it is given once.
  expect(giveTo([a], 'Mo', 'Ines', o())).toBe(0);
  const of = (inHand: string) => fleetFor(layUp, 'Club', now, 'metric', { ...o(), inHand }).rows.map((r) => r.tag);
  expect(of('Mo')).toEqual(['Tern']);
  expect(fleetFor(layUp, 'Club', now, 'metric', { ...o(), inHand: 'Mo' }).hands).toHaveLength(2);
  expect(fleetFor(layUp, 'Club', now, 'metric', o()).hands).toMatchObject([{ who: 'Mo', engines: 1 }, { engines: 1 }]);
  expect(giveTo([a, b], '', 'Ines', o())).toBe(1);
  expect(of('Mo')).toEqual([]);
});
