import { expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { allItems, type ItemId } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { four, two } from '../stories/engines.ts';

const engines: readonly (readonly [string, Profile])[] = [
  ['two-stroke', two],
  ['four-stroke', { ...four, camDrive: 'belt', interference: 'yes' }]
];
/** What is a whole check by itself. */
const WHOLE: ReadonlySet<string> = new Set(['turn.result bumps']);

const answers = (Object.keys(allItems) as ItemId[]).flatMap((what) => {
  const item = allItems[what];
  if (item.kind !== 'choice' && item.kind !== 'several') return [];
  return item.options
    .filter((o) => o.value !== 'unknown')
    .map((o) => [`${what} ${o.value}`, what, item.kind === 'several' ? [o.value] : o.value] as const);
});

/** Sound is said of what was seen, and a check is more than one thing seen. */
it.each(engines)('one answer alone makes no check of a %s sound', (_, profile) => {
  const engine = new Bench(profile);
  engine.judged();
  const sound = answers.flatMap(([name, what, value]) => {
    const item = allItems[what];
    const b = engine.fork().read(what, value as never, item.perCylinder ? { cylinder: 1 } : {});
    const station = what.split('.')[0]!;
    return b.judged().stations.some((s) => s.id === station && s.condition === 'sound') ? [name] : [];
  });
  expect(sound.filter((name) => !WHOLE.has(name))).toEqual([]);
});
