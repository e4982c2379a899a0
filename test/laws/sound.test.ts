import { expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import type { ReadingValue, StationId, ItemId } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { engines } from '../every-answer.ts';
import { ranWell } from '../stories/all-good.ts';

const two = engines['a two-stroke with a carburettor']!;
const four = engines['an injected four-stroke']!;
const conditionOf = (b: Bench, id: StationId): string | undefined =>
  b.judged().stations.find((s) => s.id === id)?.condition;

const manual = {
  'spark.primary': { value: 0.3, to: 0.5 },
  'spark.charge': { value: 400, to: 600 },
  'spark.timing': { value: 5 },
  'compression.lashIn': { value: 0.1e-3, to: 0.2e-3 },
  'run.idle': { value: 700, to: 800 }
};

/** Law 2: sound is said only of what was seen. One part of a check, or its age, is not the check. */
const asides: readonly [string, Profile, StationId, ItemId, unknown, { cylinder: number }?][] = [
  ['the age of an impeller', two, 'cooling', 'cooling.impellerAge', 0],
  ['a clear intake screen', two, 'cooling', 'cooling.screen', 'clear'],
  ['a source of water', two, 'cooling', 'cooling.source', 'tank'],
  ['fuel that is a month old', four, 'fuel', 'fuel.age', 1],
  ['a flat head face', four, 'compression', 'compression.flatness', 0.01e-3],
  ['one tight cylinder of two', two, 'compression', 'compression.leakdown', 0.05, { cylinder: 1 }],
  ['a coil within its range', two, 'spark', 'spark.primary', 0.4, { cylinder: 1 }],
  ['a charge coil within its range', two, 'spark', 'spark.charge', 500],
  ['timing by the marks', four, 'spark', 'spark.timing', 5],
  ['the lash of one valve', four, 'compression', 'compression.lashIn', 0.15e-3, { cylinder: 1 }],
  ['a timing belt with its marks in line', { ...four, camDrive: 'belt' }, 'turn', 'turn.belt', 'sound'],
  ['an idle speed', four, 'run', 'run.idle', 750],
  ['the temperature of a run', two, 'run', 'run.temperature', 330],
  ['the volts of a run', four, 'run', 'run.volts', 14.2]
];
it.each(asides)('%s makes no check sound', (_, profile, station, what, value, more) => {
  const b = new Bench(profile, 'neglected', { yearsIdle: 0 });
  b.survey = { ...b.survey, engine: { ...b.survey.engine, manual } };
  b.read(what, value as ReadingValue<typeof what>, more).read(what, value as ReadingValue<typeof what>, more);
  expect(conditionOf(b, station)).not.toBe('sound');
  const gate = b.assessed().gates.find((g) => g.id === `station.${station}`)!;
  expect(gate).toMatchObject({ condition: 'cannot-tell', passes: false });
});

it('what shows the whole of it does', () => {
  for (const p of [two, four]) {
    const b = ranWell(p);
    for (const s of ['cooling', 'fuel', 'compression', 'run'] as const) expect(conditionOf(b, s), s).toBe('sound');
  }
  expect(conditionOf(ranWell(four), 'oil')).toBe('sound');
  const tight = new Bench(two);
  for (const cylinder of [1, 2]) tight.read('compression.leakdown', 0.05, { cylinder });
  expect(conditionOf(tight, 'compression')).toBe('sound');
});
