import { school, schoolSaid } from '../house-rules/rules.ts';
import { addMonths, format, parseISO } from 'date-fns';
import { known } from '../engine/profile.ts';
import type { Context } from '../findings/context.ts';
import { burntOil, metalExplained } from '../stations/gear/case-state.ts';
import { caseResult } from '../stations/gear/case-test.ts';
import { waterCured, waterEver } from '../stations/gear/water.ts';
import { pumpOfUnknownAge } from '../stations/cooling/analyse.ts';
import { isAfter, latestAt, type Instant } from '../units/instant.ts';
import { lastMarks } from './done.ts';
import type { JobId } from './register.ts';

/** What may wait beyond the release with a date or hours on it. It opens its gate with that, and goes into the care of the engine. */
export interface DoBy {
  readonly id: string;
  readonly title: string;
  /** When that was found, or done. */
  readonly from: Instant;
  /** Engine hours then, where they were noted. */
  readonly engineHours?: number;
  readonly months?: number;
  /** Engine hours after that, whichever comes first. */
  readonly hours?: number;
  readonly because: string;
  /** The kind of finding that it settles for now, and the job that it puts off. */
  readonly finding?: string;
  readonly job?: JobId;
}

/** Half an anode lasts the rest of a season (C, from memory). */
const HALF_AN_ANODE = 6;
/** Hours after which work that settles is looked at once more (C: valve lash; from memory for the gear case). */
const SETTLING = 5;

const done = (c: Context, job: JobId): { readonly at: Instant; readonly hours?: number | undefined } | undefined => {
  const mark = lastMarks(c.survey).get(job);
  return mark?.state === 'done' ? mark : undefined;
};

function anodes(c: Context): DoBy | undefined {
  const r = c.record.last('look.anodes');
  const renewed = done(c, 'anodes')?.at;
  if (r?.value !== 'half' || (renewed && isAfter(renewed, r.at))) return undefined;
  return {
    id: 'by-anodes',
    title: 'Anodes, at the next haul-out',
    from: r.at,
    months: HALF_AN_ANODE,
    because: 'They were half gone.',
    finding: 'look.anodes',
    job: 'anodes'
  };
}

function lash(c: Context): DoBy | undefined {
  const mark = done(c, 'lash');
  return mark
    ? {
        id: 'by-lash',
        title: 'Valve lash again',
        from: mark.at,
        ...(mark.hours === undefined ? {} : { engineHours: mark.hours }),
        hours: SETTLING,
        because: 'It was set, and a valve that was closed beds in.'
      }
    : undefined;
}

/** A key that was cut for now is not for a season (M). */
const CUT_KEY = 3;

function cutKey(c: Context): DoBy | undefined {
  const mark = school(c.rules, 'lostKey') === 'improvised' ? done(c, 'flywheel-key') : undefined;
  return mark
    ? {
        id: 'by-key',
        title: 'The right flywheel key in place of the cut one',
        from: mark.at,
        months: CUT_KEY,
        because: `${schoolSaid(c.rules, 'lostKey')}.`
      }
    : undefined;
}

/** An impeller of unknown age is renewed before another season (C, from memory). */
const UNKNOWN_IMPELLER = 6;

function impeller(c: Context): DoBy | undefined {
  const from = pumpOfUnknownAge(c);
  return from
    ? {
        id: 'by-impeller',
        title: 'Water pump kit: an impeller of unknown age',
        from,
        months: UNKNOWN_IMPELLER,
        because: 'It pumps, and nobody knows how old it is.'
      }
    : undefined;
}

function gearOil(c: Context): DoBy | undefined {
  const filled = c.record.last('gear.refill');
  if (!filled || !waterEver(c) || !waterCured(c) || caseResult(c).verdict !== 'held') return undefined;
  return {
    id: 'by-gear-oil',
    title: 'Lower gear plug a crack open: water again?',
    from: filled.at,
    hours: SETTLING,
    because: 'There was water in it, and the case held its test.'
  };
}

function magnet(c: Context): DoBy | undefined {
  const r = c.record.last('gear.magnet');
  if (!r || (r.value !== 'slivers' && r.value !== 'pieces') || !metalExplained(c)) return undefined;
  return {
    id: 'by-magnet',
    title: 'Gear magnet again: clean?',
    from: c.record.last('gear.explained')!.at,
    hours: SETTLING,
    because: 'There was metal on it, and the case was opened and the metal explained.',
    finding: 'gear.metal-again'
  };
}

function burnt(c: Context): DoBy | undefined {
  const filled = latestAt(c.record.all('gear.refill').filter((r) => r.value === 'service'));
  return burntOil(c)?.is === 'before' && filled !== ''
    ? {
        id: 'by-burnt',
        title: 'Gear oil again: burnt?',
        from: filled,
        hours: SETTLING,
        because: 'What came out was burnt: a bearing was hot, or the oil was low.',
        finding: 'gear.burnt-before'
      }
    : undefined;
}

/** What of this engine may wait with a date. Order of the trade's urgency. */
export const doBy = (c: Context): DoBy[] =>
  [anodes(c), impeller(c), lash(c), gearOil(c), magnet(c), burnt(c), cutKey(c)].filter((d) => d !== undefined);

/** Engine hours when it was found or done; those of the engine where nobody noted them then. */
export const hoursThen = (c: Context, d: DoBy): number | undefined =>
  d.engineHours ?? known(c.survey.engine.history.hours);

/** "by 1 November 2026", "after 5 h, at 17 engine hours". */
export function sayDoBy(c: Context, d: DoBy): string {
  const hours = hoursThen(c, d);
  const day = d.months === undefined ? '' : `by ${format(addMonths(parseISO(d.from), d.months), 'd MMMM yyyy')}`;
  const at =
    d.hours === undefined
      ? ''
      : `after ${d.hours} h${hours === undefined ? '' : `, at ${hours + d.hours} engine hours`}`;
  return [day, at].filter(Boolean).join(' or ');
}
