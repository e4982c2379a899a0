import type { Context } from '../../findings/context.ts';
import { isAfter, latestAt } from '../../units/instant.ts';
import { stillStands } from '../../findings/unmended.ts';
import type { Item } from '../../items/item.ts';
import { items as lookItems } from '../look/readings.ts';
import { items } from './readings.ts';
import { goodRuns } from '../../findings/ran.ts';
import { causeAt } from '../run/symptoms.ts';
import type { ItemId } from '../items.ts';

interface Escape {
  readonly item: ItemId;
  readonly asked: Item;
  readonly bad: string;
  readonly says: string;
}

/** Answers that say fuel gets out, or will as soon as it is pumped up; in the order it flows. */
const escapes: readonly Escape[] = [
  { item: 'look.hoses', asked: lookItems.hoses, bad: 'cracked', says: 'A hose is cracked or chewed' },
  { item: 'look.bulb', asked: lookItems.bulb, bad: 'cracked', says: 'The primer bulb is cracked' },
  { item: 'fuel.couplings', asked: items.couplings, bad: 'leak', says: 'A coupling weeps' },
  { item: 'fuel.floods', asked: items.floods, bad: 'yes', says: 'Fuel runs from the carburettor' }
];

/** Looks at fuel with its joints full and wiped, each with the answers that say dry. */
const dryLooks: readonly (readonly [ItemId, readonly string[]])[] = [
  ['fuel.couplings', ['tight']],
  ['fuel.hose', ['supple']],
  ['fuel.bulb', ['firm']],
  ['fuel.floods', ['no', 'slow']],
  ['fuel.filter', ['clean']],
  ['fuel.pump', ['good']],
  ['look.hoses', ['supple', 'hard']],
  ['look.bulb', ['good', 'hard']],
  ['run.leaks', ['none']]
];

/**
 * Fuel dripped in a run: neither was its cause written down nor anything done about fuel since, or that was, and nobody has seen it dry
 * after it.
 */
function dripped(c: Context): 'open' | 'unseen' | undefined {
  const told = c.record.all('run.leaks').filter((r) => r.value !== 'unknown');
  const last = told.findLast((r) => r.value === 'fuel');
  if (!last) return undefined;
  const since = [causeAt(c), ...c.worked('fuel'), ...c.worked('look')].filter(
    (at) => at !== '' && !isAfter(last.at, at)
  );
  if (!since.length) return 'open';
  const mended = latestAt(since.map((at) => ({ at })));
  const dry = dryLooks.some(([item, answers]) =>
    c.record.all(item).some((r) => answers.includes(String(r.value)) && isAfter(r.at, mended))
  );
  return dry ? undefined : 'unseen';
}

/** Where fuel runs: what leaks there is fuel, as far as anybody knows. */
const WHERE_FUEL_RUNS: ReadonlySet<unknown> = new Set(['hose', 'filter', 'pump', 'carburettor']);

/** It leaks, and nobody has said yet of what: stopped for it, or seen where fuel runs. As far as anybody knows it is fuel. */
function leakUntold(c: Context): string | undefined {
  const told = c.record.all('run.leaks').findLast((r) => r.value !== 'unknown');
  const seen = c.record.all('run.leakAt').findLast((r) => r.value !== 'unknown');
  const mended = latestAt([causeAt(c), ...c.worked('fuel'), ...c.renewed('run.leaks')].map((at) => ({ at })));
  if (seen && WHERE_FUEL_RUNS.has(seen.value) && (!told || (told.value === 'none' && isAfter(seen.at, told.at))))
    return isAfter(mended, seen.at) ? undefined : 'It leaks where fuel runs, and nobody said whether it is fuel';
  const stop = c.record.last('run.reason');
  if (stop?.value !== 'leak' || isAfter(mended, stop.at)) return undefined;
  const began = c.record.all('run.event').findLast((r) => r.value === 'start' && !isAfter(r.at, stop.at))?.at;
  if (told && isAfter(told.at, began)) return undefined;
  return goodRuns(c).some((r) => isAfter(r.at, stop.at))
    ? undefined
    : 'It was stopped for a leak, and nobody said whether that was fuel';
}

export interface FuelEscape {
  readonly says: string;
  /** What is to be done about it, and what answers that it was. */
  readonly need: string;
  readonly items: readonly ItemId[];
}

/** Fuel runs out of it with the engine off, and nobody has shut it off since: whether it was tried, and runs all the same. */
export function runsOut(c: Context): 'open' | 'still-runs' | undefined {
  const seen = c.record.last('fuel.floods');
  if (seen?.value !== 'yes') return undefined;
  const since = (item: ItemId): unknown[] =>
    c.record.all(item).flatMap((r) => (isAfter(r.at, seen.at) && r.value !== 'unknown' ? [r.value] : []));
  const shut = since('fuel.shut').at(-1);
  if (shut === 'stopped' || since('fuel.tank').includes('drained') || since('fuel.line').includes('drained'))
    return undefined;
  return shut === 'runs' ? 'still-runs' : 'open';
}

/** Where fuel gets out of this engine as it was last seen. */
export function fuelEscapes(c: Context): FuelEscape[] {
  const drip = dripped(c);
  const untold = leakUntold(c);
  const run: Readonly<Record<NonNullable<typeof drip>, FuelEscape>> = {
    open: {
      says: 'Fuel dripped in the run',
      need: 'where it drips found and mended, or its cause written down; then seen dry',
      items: ['run.cause']
    },
    unseen: {
      says: 'Fuel dripped in the run, and nobody has seen it dry since it was mended',
      need: 'pumped up and wiped, every joint seen dry',
      items: ['fuel.couplings', 'fuel.hose', 'fuel.bulb', 'fuel.floods']
    }
  };
  return [
    ...escapes
      .filter(({ item, asked, bad }) => stillStands(c, item, asked, bad))
      .map(({ item, says }) => ({
        says,
        need: `${says.charAt(0).toLowerCase()}${says.slice(1)}: mended, and seen dry`,
        items: [item]
      })),
    ...(drip ? [run[drip]] : []),
    ...(untold
      ? [
          {
            says: untold,
            need: 'what leaked, said: fuel, oil or water',
            items: ['run.leaks'] as const
          }
        ]
      : [])
  ];
}
