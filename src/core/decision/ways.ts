import { cylinderCount } from '../engine/profile.ts';
import type { Money } from '../diagnosis/value.ts';
import type { Context } from '../findings/context.ts';
import type { Finding } from '../findings/finding.ts';
import { pertMean, type Three } from '../physics/pert.ts';
import { caseDangers } from '../stations/gear/case-state.ts';
import { seenGood } from '../stations/condition.ts';

/** One way out of a trouble that has several. Plain data; money in cr, minutes of hands. */
export interface Way {
  readonly id: string;
  /** What it is a way out of. */
  readonly trouble: string;
  readonly title: string;
  readonly cost: { readonly low: number; readonly mean: number; readonly high: number };
  readonly minutes: number;
  readonly because: string;
  /** Why it is not open, or not yet. */
  readonly closed?: string;
  /** The least on average of those that are open. */
  readonly cheapest?: true;
}

/** Prices in the demo's currency and minutes are from memory (M); the choice between the ways is the trade's (C). */
interface WayRule {
  readonly id: string;
  readonly title: string;
  readonly parts: Three;
  readonly minutes: Three;
  readonly because: string;
  readonly closed?: (c: Context, found: readonly Finding[]) => string | undefined;
}
interface Trouble {
  readonly title: string;
  readonly there: (c: Context, found: readonly Finding[], jobs: ReadonlySet<string>) => boolean;
  readonly ways: readonly WayRule[];
}

const absent = (c: Context, part: string): boolean => {
  const list = c.survey.engine.profile.absent;
  return Array.isArray(list) && (list as readonly string[]).includes(part);
};
const fault = (found: readonly Finding[], id: string): boolean =>
  found.some((f) => f.id === id && f.condition === 'fault');

/** Nothing is spent on a leg before the head above it is known to be worth it: it ran, or has compression and spark. */
function headFirst(c: Context, found: readonly Finding[]): string | undefined {
  if (c.record.value('run.outcome') === 'ran') return undefined;
  const proved = (['compression', 'spark'] as const).every((station) => {
    const mine = found.filter((f) => f.station === station);
    // A question of the needle or of the air is one of what the head is worth.
    const against = station === 'compression' ? ['fault', 'held', 'cannot-tell'] : ['fault', 'held'];
    return c.record.touched(station) && seenGood(c, station, mine) && !mine.some((f) => against.includes(f.condition));
  });
  return proved
    ? undefined
    : 'First the power head: compression and spark, or a run. Until then nothing is spent on the leg.';
}

/** From so many cylinders on nobody makes a tiller for it (M). */
const TOO_LARGE = 4;

const troubles: readonly Trouble[] = [
  {
    title: 'The gear case is cracked',
    there: (c) => caseDangers(c).includes('cracked'),
    ways: [
      {
        id: 'mend',
        title: 'Mended with metal-filled epoxy',
        parts: [15, 30, 60],
        minutes: [60, 90, 150],
        because: 'For a crack away from seals and bearings; a day’s cure, watched for ever.',
        closed: headFirst
      },
      {
        id: 'weld',
        title: 'Welded, seals and oil out first',
        parts: [120, 220, 400],
        minutes: [150, 210, 330],
        because: 'By a welder of cast aluminium; faces and bores are checked afterwards.',
        closed: headFirst
      },
      {
        id: 'other-case',
        title: 'Another case',
        parts: [120, 260, 600],
        minutes: [150, 210, 330],
        because:
          'Same ratio, shaft length and shift: numbers compared before money changes hands. The only way out of corrosion.',
        closed: headFirst
      }
    ]
  },
  {
    title: 'Its remote controls are missing',
    there: (c) => absent(c, 'controls') && c.survey.engine.profile.steering !== 'tiller',
    ways: [
      {
        id: 'controls',
        title: 'Control box, cables and harness',
        parts: [180, 350, 680],
        minutes: [90, 150, 240],
        because:
          'Cable travel measured at both ends before anything is bought; stop circuit and neutral switch proved first.'
      },
      {
        id: 'tiller',
        title: 'Converted to a tiller',
        parts: [120, 240, 420],
        minutes: [180, 240, 360],
        because: 'A smaller boat, no cables; throttle and shift arms must exist for this model.',
        closed: (c) =>
          (cylinderCount(c.survey.engine.profile) ?? 0) >= TOO_LARGE
            ? 'Nobody steers an engine of this size by hand.'
            : undefined
      }
    ]
  },
  {
    title: 'The leg is another engine’s',
    there: (_, __, jobs) => jobs.has('leg-identity'),
    ways: [
      {
        id: 'keep-leg',
        title: 'Kept, and known for what it is',
        parts: [0, 10, 40],
        minutes: [30, 45, 70],
        because: 'Ratio counted, its own numbers for every part of it; the propeller is chosen for that ratio.'
      },
      {
        id: 'own-leg',
        title: 'Its own leg found and fitted',
        parts: [250, 450, 900],
        minutes: [120, 150, 240],
        because: 'Where shaft length, shift or water tube do not meet: nothing is filed to fit.',
        closed: headFirst
      }
    ]
  },
  {
    title: 'The propeller is bent',
    there: (_, found) => fault(found, 'look.propeller'),
    ways: [
      {
        id: 'propeller-shop',
        title: 'Straightened and balanced',
        parts: [40, 70, 130],
        minutes: [20, 30, 45],
        because: 'By a propeller shop; cracks at a blade’s root end it.'
      },
      {
        id: 'other-propeller',
        title: 'Another propeller',
        parts: [60, 140, 320],
        minutes: [20, 30, 45],
        because: 'Pitch by the speed it reaches at full throttle, not by the old one’s stamp alone.'
      }
    ]
  },
  {
    title: 'The propeller’s hub slips',
    there: (_, found) => fault(found, 'look.twist'),
    ways: [
      {
        id: 'hub',
        title: 'A new hub',
        parts: [35, 70, 140],
        minutes: [20, 30, 60],
        because: 'Pressed in by a propeller shop, or the exchange kind that slides in.'
      },
      {
        id: 'whole-propeller',
        title: 'Another propeller',
        parts: [60, 140, 320],
        minutes: [20, 30, 45],
        because: 'Where blades are worn as well.'
      }
    ]
  }
];

/** The ways out of each trouble that has more than one, priced at the shop's rate; nothing where there is none. */
export function waysOf(
  c: Context,
  found: readonly Finding[],
  jobs: ReadonlySet<string>,
  money: Pick<Money, 'rate' | 'scale'>
): Way[] {
  return troubles
    .filter((t) => t.there(c, found, jobs))
    .flatMap((t) => {
      const priced = t.ways.map(({ id, title, parts, minutes, because, closed }): Way => {
        const [low, , high] = parts.map((p, k) => p * money.scale + (minutes[k]! / 60) * money.rate);
        const shut = closed?.(c, found);
        return {
          id,
          trouble: t.title,
          title,
          cost: { low: low!, mean: pertMean(parts) * money.scale + (pertMean(minutes) / 60) * money.rate, high: high! },
          minutes: pertMean(minutes),
          because,
          ...(shut ? { closed: shut } : {})
        };
      });
      const open = priced.filter((w) => !w.closed);
      const least = Math.min(...open.map((w) => w.cost.mean));
      return priced.map((w): Way =>
        open.length > 1 && !w.closed && w.cost.mean === least ? { ...w, cheapest: true } : w
      );
    });
}
