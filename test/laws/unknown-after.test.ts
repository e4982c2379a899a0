import { describe, expect, it } from 'vitest';
import { allItems, itemIds } from '../../src/core/stations/items.ts';
import { answers, engines } from '../every-answer.ts';
import { readyToRun } from '../stories/all-good.ts';
import type { Bench } from '../case.ts';

/** Law 2, told in time: what was seen once is not taken back by a later look that could not tell. */
const faults = (b: Bench): string[] => b.ids().filter((id) => id.endsWith(':fault'));

describe.each(Object.entries(engines))('of %s', (_, profile) => {
  const before = new Set(faults(readyToRun(profile)));
  it.each(itemIds.filter((what) => answers(what, profile).length))('%s', (what) => {
    const where = allItems[what].perCylinder ? { cylinder: 1 } : {};
    for (const answer of answers(what, profile)) {
      const b = readyToRun(profile)
        .wait(1)
        .read(what, answer as never, where);
      const found = faults(b).filter((id) => !before.has(id));
      if (!found.length) continue;
      const holds = b.holds();
      b.wait(1).read(what, 'unknown' as never, where);
      expect(faults(b), String(answer)).toEqual(expect.arrayContaining(found));
      expect(b.holds(), String(answer)).toEqual(expect.arrayContaining(holds));
    }
  });
});
