import type { Context } from '../../findings/context.ts';
import { known } from '../../engine/profile.ts';
import type { Reading } from '../../record/reading.ts';
import { isAfter, latestOf, type Instant } from '../../units/instant.ts';

/** The sump of this engine, m³: as it was last filled, with filter first. */
export const sumpOf = (c: Context): number | undefined =>
  known(c.survey.engine.profile.sumpWithFilter) ?? known(c.survey.engine.profile.sumpWithoutFilter);

/** From so much of the sump on, what came out was a drain, and not some drawn off to bring the level down; share (M). */
const DRAINED_FROM = 0.5;

const told = (c: Context, what: 'oil.poured' | 'oil.drained' | 'oil.dip' | 'oil.dipAt'): readonly Reading[] =>
  c.record.all(what).filter((r) => r.value !== 'unknown');

/** The latest that shows oil in it, poured, changed or on the stick, before an instant; the latest of all without one. */
const oilShown = (c: Context, before?: Instant): Reading | undefined =>
  latestOf(
    [
      ...(['oil.poured', 'oil.dip', 'oil.dipAt'] as const).flatMap((what) => told(c, what)),
      ...c.record.all('oil.sump').filter((r) => r.value === 'drained')
    ].filter((r) => r.value !== 'none' && (before === undefined || isAfter(before, r.at)))
  );

/** What was taken out last: all of it, some of it, or nobody can tell, and when. */
export interface TakenOut {
  readonly how: 'emptied' | 'drawn-off';
  readonly at: Instant;
  /** m³, as far as it was measured. */
  readonly volume: number;
}

/**
 * The last time that oil came out. By its volume where the sump is known, all that came out since oil was last seen in it taken
 * together; where it is not known, oil that stood over the mark may only have been drawn down to it.
 */
export function takenOut(c: Context): TakenOut | undefined {
  const drained = told(c, 'oil.drained');
  const last = latestOf([...drained]);
  if (!last) return undefined;
  const shown = oilShown(c, last.at);
  const volume = drained
    .filter((r) => !shown || isAfter(r.at, shown.at))
    .reduce((sum, r) => sum + (typeof r.value === 'number' ? r.value : 0), 0);
  const sump = sumpOf(c);
  const gap = known(c.record.value('oil.markGap'));
  const high = shown?.value === 'above' || (typeof shown?.value === 'number' && gap !== undefined && shown.value > gap);
  // Nobody renews a filter and leaves the old oil in.
  const filter = c.record.all('oil.filter').some((r) => r.value === 'renewed' && (!shown || isAfter(r.at, shown.at)));
  const part = sump === undefined ? high && shown.what !== 'oil.poured' && !filter : volume < DRAINED_FROM * sump;
  return { how: part ? 'drawn-off' : 'emptied', at: last.at, volume };
}

/** Why there is no oil in the sump: drained, or a new engine that comes without; nothing where it was filled, or nobody can tell. */
export function sumpEmpty(c: Context): 'drained' | 'new' | undefined {
  const { profile } = c.survey.engine;
  const out = takenOut(c);
  const shown = oilShown(c);
  if (out) return out.how === 'emptied' && !(shown && isAfter(shown.at, out.at)) ? 'drained' : undefined;
  return c.survey.assessment.kind === 'new-engine' && profile.strokes === 'four' && !shown ? 'new' : undefined;
}

/**
 * Whether what is poured in now fills an empty sump: it was drained, a new engine came without, or its filter was renewed, which nobody
 * does on old oil. Oil that is poured in with none of that told brings up a level, and the stick alone says how much is still to go.
 */
export function fillsWhole(c: Context): boolean {
  const out = takenOut(c);
  if (out) return out.how === 'emptied';
  return c.survey.assessment.kind === 'new-engine' || c.record.value('oil.filter') === 'renewed';
}
