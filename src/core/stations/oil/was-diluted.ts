import type { Context } from '../../findings/context.ts';
import { runs } from '../../findings/ran.ts';
import { byTime, isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { cameOver } from './came-over.ts';
import { changedAfter } from './changed.ts';
import { dips } from './position.ts';

/** When fuel in the oil was first told: thin, strongly smelling, or smelling of fuel and over the mark. */
function firstTold(c: Context): Instant | undefined {
  const over = cameOver(c) !== undefined || c.record.all('oil.dip').some((r) => r.value === 'above');
  return [
    ...c.record.all('oil.look').filter((r) => r.value === 'thin'),
    ...c.record.all('oil.smell').filter((r) => r.value === 'strong' || (r.value === 'fuel' && over))
  ].toSorted(byTime)[0]?.at;
}

/** When oil that had fuel in it was last changed; nothing where it was not, or where it had none. */
export function changedForFuel(c: Context): Instant | undefined {
  const told = firstTold(c);
  if (!told) return undefined;
  const changed = changedAfter(c, told);
  const worked = c.worked('oil').filter((at) => isAfter(at, told));
  return latestAt([...(changed ? [{ at: changed }] : []), ...worked.map((at) => ({ at }))]) || undefined;
}

/** Oil that had fuel in it was changed, the engine ran since, and nobody has dipped after that run whether it rises again. */
export function undippedSinceDiluted(c: Context): boolean {
  const changed = changedForFuel(c);
  const ran = runs(c).find((r) => isAfter(r.at, changed));
  if (!changed || !ran) return false;
  const { agree, last } = dips(c);
  return !(agree && last.every((d) => isAfter(d.taken, ran.at)));
}
