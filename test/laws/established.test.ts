import { randomLcg } from 'd3-random';
import { expect, it } from 'vitest';
import { jobs } from '../../src/core/jobs/register.ts';
import { raisers } from '../../src/core/plan/around-work.ts';
import { kindOf, type Finding } from '../../src/core/findings/finding.ts';
import { allItems, type ItemId } from '../../src/core/stations/items.ts';
import { Bench } from '../case.ts';
import { kinds } from '../profiles.ts';

/** What a doubt asks for all the same, and why (C). */
const allowed: ReadonlyMap<string, string> = new Map([
  ['fuel.age fuel-drain', 'fuel of unknown age is cheaper drained than known'],
  ['gear.amount gear-refill', 'the oil is out, and goes back whatever its amount'],
  ['gear.water gear-refill', 'the oil is drained to look, and goes back']
]);
/** Long work on something that is only to be watched, by house rule or by sight (C). */
const long: ReadonlyMap<string, string> = new Map([
  ['fuel.carburettor carburettor', 'the school cleans it first'],
  ['fuel.part-bowl-dirt carburettor', 'dirt was seen in its bowl'],
  ['fuel.part-separator bowl', 'dirt was seen in its separator'],
  ['compression.flatness head-gasket', 'the head is off, and goes back on a gasket']
]);
const DEAR = 60;

interface Raised {
  readonly condition: Finding['condition'];
  readonly minutes: number;
  /** The kind of the finding, and the work. */
  readonly what: string;
}

/** Work that a finding of any condition would raise, over surveys of anything at all. */
function raisedByAny(): Raised[] {
  const random = randomLcg(0.41);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const items = Object.entries(allItems);
  const out: Raised[] = [];
  for (let n = 0; n < 1500; n++) {
    const profile = pick(kinds);
    const b = new Bench(profile, pick(['neglected', 'long-stored', 'drowned', 'spring-return'] as const), {
      yearsIdle: pick([0.3, 2, 9])
    });
    const cylinders = typeof profile.cylinders === 'number' ? profile.cylinders : 1;
    for (let k = 0; k < 12; k++) {
      const [id, item] = pick(items);
      const share = random();
      const value =
        item.kind === 'choice'
          ? pick(item.options).value
          : item.kind === 'several'
            ? [pick(item.options).value]
            : item.kind === 'quantity'
              ? item.min + (item.max - item.min) * share ** 4
              : undefined;
      if (value === undefined) continue;
      const where = item.perCylinder ? { cylinder: 1 + Math.floor(random() * cylinders) } : {};
      b.read(id as ItemId, value as never, where);
    }
    const found = b.judged().findings;
    for (const job of jobs)
      if (job.phase !== 'repeat' && !job.finds)
        for (const { condition, id } of raisers(job, found))
          out.push({ condition, minutes: job.minutes, what: `${kindOf(id)} ${job.id}` });
  }
  return out;
}
const all = raisedByAny();
const raised = (condition: Finding['condition'], least: number): Set<string> =>
  new Set(all.flatMap((r) => (r.condition === condition && r.minutes >= least ? [r.what] : [])));

it('what cannot be told raises no work but where that is cheaper than knowing', () => {
  expect([...raised('cannot-tell', 0)].filter((x) => !allowed.has(x))).toEqual([]);
});
it('what is only to be watched raises no long work but by house rule or by sight', () => {
  expect([...raised('watch', DEAR + 1)].filter((x) => !long.has(x))).toEqual([]);
});
