import type { Context } from './findings/context.ts';
import type { Concluded, Judgement } from './judge.ts';

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
