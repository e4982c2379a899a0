import type { Engine } from '../../engine/engine.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { judgedBy, type Judged } from '../../findings/limit.ts';
import { isAfter } from '../../units/instant.ts';

/** What an engine's gear case takes by its manual, else by its profile, m³; nothing where neither says. */
export const capacityOf = ({ manual, profile }: Pick<Engine, 'manual' | 'profile'>): number | undefined =>
  manual?.['gear.capacity']?.value ?? known(profile.gearCapacity);

/** The same with where it comes from, as a limit that a finding names. */
export const ratedCapacity = (c: Context): Judged | undefined =>
  judgedBy(c, 'gear.capacity', known(c.survey.engine.profile.gearCapacity), 'engine profile');

/**
 * What it took when it was last filled from drained to a bubble-free level hole, by the tally, m³: what clung when it was drained is missing from
 * it. Nothing where it was only topped up, or the hole was not looked at.
 */
export function filledCapacity(c: Context): number | undefined {
  const drains = c.record.all('gear.drained').filter((r) => r.value !== 'unknown');
  const pours = c.record.all('gear.poured');
  for (const [k, drained] of [...drains.entries()].reverse()) {
    const next = drains[k + 1];
    const within = (at: string): boolean => isAfter(at, drained.at) && !(next && isAfter(at, next.at));
    const mine = pours.filter((r) => within(r.at) && typeof r.value === 'number');
    const last = mine.at(-1);
    const full = c.record
      .all('gear.levelHole')
      .findLast((r) => within(r.at) && last !== undefined && !isAfter(last.at, r.at));
    if (full?.value === 'bubbleFree') return mine.reduce((sum, r) => sum + (r.value as number), 0);
  }
  return undefined;
}

/** What this gear case takes, m³: by the manual, by its profile, else by what went in; nothing where none of them is known. */
export const gearCapacity = (c: Context): Judged | undefined =>
  ratedCapacity(c) ?? judgedBy(c, 'gear.capacity', filledCapacity(c), 'what went in when it was filled');
