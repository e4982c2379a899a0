import { describe, expect, it } from 'vitest';
import { allItems, itemIds, stationOf, type ItemId } from '../../src/core/stations/items.ts';
import type { Bench } from '../case.ts';
import { answers, engines } from '../every-answer.ts';
import { readyToRun } from '../stories/all-good.ts';

/** A re-check in which one thing was looked at, before anything else of it: what is seen there counts as it would have in the round before. */
describe.each(Object.entries(engines))('the first answer of a new round, of %s', (_, profile) => {
  const read = (what: ItemId, answer: unknown, round: object): Bench =>
    readyToRun(profile)
      .wait(1)
      .read(what, answer as never, { ...(allItems[what].perCylinder ? { cylinder: 1 } : {}), ...round })
      .wait(0.1);
  const sound = readyToRun(profile).wait(1.1);
  const before = new Set([...sound.ids(), ...sound.holds()]);
  const told = (b: Bench, what: ItemId): string[] =>
    b.ids().filter((id) => !before.has(id) && !id.endsWith(':sound') && id.startsWith(`${stationOf(what)}.`));
  it.each(itemIds.filter((what) => answers(what, profile).length))('%s', (what) => {
    for (const answer of answers(what, profile)) {
      const [then, now] = [read(what, answer, {}), read(what, answer, { round: 2 })];
      expect(now.holds(), String(answer)).toEqual(expect.arrayContaining(then.holds()));
      // One look that contradicts another of its round is doubted; in a round of its own it stands.
      const fault = told(then, what).some((id) => id.endsWith(':fault'));
      if (fault) expect(told(now, what), String(answer)).not.toEqual([]);
    }
  });
});
