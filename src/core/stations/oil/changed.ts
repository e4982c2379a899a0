import type { Context } from '../../findings/context.ts';
import { isAfter, latestAt, type Instant } from '../../units/instant.ts';
import { takenOut } from './sump.ts';

/** When the oil was changed after an instant; an empty text where it was not. */
export function changedAfter(c: Context, at: Instant): Instant {
  const out = takenOut(c);
  return latestAt(
    [
      ...c.record.all('oil.sump').flatMap((r) => (r.value === 'drained' ? [r] : [])),
      ...c.record.all('oil.changes'),
      ...c.renewed('oil.look').map((when) => ({ at: when })),
      ...(out?.how === 'emptied' ? [out] : [])
    ].filter((x) => isAfter(x.at, at))
  );
}
