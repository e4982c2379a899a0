import { describe, expect, it } from 'vitest';
import type { Profile } from '../../src/core/engine/profile.ts';
import { allItems, itemIds, stationOf, type ItemId } from '../../src/core/stations/items.ts';
import { stationIds } from '../../src/core/stations/register.ts';
import { Bench } from '../case.ts';
import { good } from '../good.ts';
import { four, two } from '../stories/engines.ts';

/** An engine on which everything but the run was looked at and found good. */
function sound(profile: Profile): Bench {
  const b = new Bench(profile);
  for (const station of stationIds.filter((s) => s !== 'run'))
    good(station, {
      profile,
      best: 0,
      banked: false,
      read: (what, value, more) => void b.read(what, value as never, more),
      wait: (hours) => void b.wait(hours)
    });
  return b;
}

/** What stays a question with a reason and asks for nothing: plugs mixed up, a nose's word beside good dips. */
const asksNothing: readonly string[] = ['plugs.order', 'oil.smell'];

const answers = itemIds.flatMap((id) => {
  const { options } = allItems[id] as { readonly options?: object };
  return options && stationOf(id) !== 'safe' ? Object.keys(options).map((key) => [id, key] as const) : [];
});
const valueOf = (id: ItemId, key: string): unknown => {
  const { options, kind } = allItems[id] as unknown as { options: readonly { value?: string }[]; kind: string };
  const value = Array.isArray(options) ? (options[Number(key)]?.value ?? key) : key;
  return kind === 'several' ? [value] : value;
};

describe('one bad answer on an engine that is good otherwise is what comes next', () => {
  it.each([
    ['a two-stroke', { ...two, lubrication: 'premix', premixRatio: 50 } as Profile],
    ['a four-stroke', { ...four, fuelSystem: 'electronic', lubrication: 'sump', camDrive: 'belt' } as Profile]
  ])('%s', (_, profile) => {
    const engine = sound(profile);
    const before = new Set(
      engine
        .judged()
        .findings.filter((f) => f.condition !== 'sound')
        .map((f) => f.id)
    );
    const unanswered = answers.flatMap(([id, key]): string[] => {
      const value = valueOf(id, key);
      if (value === 'unknown' || value === 'not-fitted') return [];
      const b = engine.fork().read(id, value as never, 'perCylinder' in allItems[id] ? { cylinder: 2 } : {});
      const found = b
        .judged()
        .findings.filter((f) => (f.condition === 'fault' || f.condition === 'cannot-tell') && !before.has(f.id))
        .filter((f) => !asksNothing.some((x) => f.id.startsWith(x)));
      if (!found.length) return [];
      const next = b
        .assessed()
        .moves.filter((m) => !m.waits)
        .slice(0, 2);
      const held = b.assessed().holds.map((h) => h.because);
      const met = next.some((m) =>
        found.some(
          (f) => m.station === f.station || m.because.includes(f.sentence) || held.some((h) => m.because.includes(h))
        )
      );
      return met ? [] : [`${id} ${String(value)}: ${found[0]!.id}, then ${next.map((m) => m.title).join(', ')}`];
    });
    expect(unanswered).toEqual([]);
  });
});
