import type { DrownedClock } from './drowned/clock.ts';
import type { Context } from './findings/context.ts';
import type { DoneWork } from './jobs/done-work.ts';
import type { Judgement } from './judge.ts';
import type { Following } from './stages.ts';

/**
 * What was concluded, without the context it was concluded from: plain data, so that it crosses to a page as JSON and to or
 * from a worker as it is. The findings stand with their stations only; each finding belongs to one.
 */
export interface Concluded extends Pick<Judgement, 'stations' | 'holds'>, Following {
  /** The work that was done, as far as it changes what readings mean. */
  readonly done: readonly DoneWork[];
  /** The clock of an engine that was under water, while it runs. */
  readonly clock?: Pick<DrownedClock, 'hoursLeft' | 'sentence' | 'school'>;
}

/** Before anything was concluded. */
export const nothingConcluded: Concluded = { stations: [], holds: [], steps: [], gates: [], ready: false, done: [] };

/** A judgement from what was concluded elsewhere and the context of the same survey. */
export const judgementFrom = (
  context: Context,
  { stations, holds }: Pick<Concluded, 'stations' | 'holds'>
): Judgement => ({
  context,
  stations,
  findings: stations.flatMap((s) => s.findings),
  holds
});
