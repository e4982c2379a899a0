import { isAfter } from '../../units/instant.ts';
import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';

/** Where the plugs were at an instant, by the last word on it. */
export const plugsAt = (c: Context, at: string): 'in' | 'out' | undefined =>
  c.record.all('turn.plugs').findLast((r) => r.value !== 'unknown' && !isAfter(r.at, at))?.value as
    | 'in'
    | 'out'
    | undefined;

/**
 * Where the plugs were when it was turned, for what the hand feels: plugs that were read after the last word "in" had come out,
 * and are taken as out until somebody says that they are in again. Holds go by the word alone.
 */
export function plugsWhenTurned(c: Context, at: string): 'in' | 'out' | undefined {
  const word = c.record.all('turn.plugs').findLast((r) => r.value !== 'unknown' && !isAfter(r.at, at));
  const read = (['plugs.read', 'plugs.hole'] as const).some((what) =>
    c.record.all(what).some((r) => !isAfter(r.at, at) && (!word || isAfter(r.at, word.at)))
  );
  return read ? 'out' : (word?.value as 'in' | 'out' | undefined);
}

/** The engine was turned smoothly by hand with the plugs out, or cranked for its compression: what lay in the bores is out. */
export const thrownOut = (c: Context, since: string): boolean =>
  c.record
    .all('turn.result')
    .some((r) => (r.value === 'free' || r.value === 'bumps') && isAfter(r.at, since) && plugsAt(c, r.at) === 'out') ||
  (['compression.pressure', 'compression.pulls'] as const).some((what) =>
    c.record.all(what).some((r) => r.value !== 'unknown' && isAfter(r.at, since))
  );

/** Oil was put into the bores, the plugs are in, and nothing has thrown it out: cranked like this it locks or bends a rod. */
export function oilShutIn(c: Context): boolean {
  const oil = c.record.last('plugs.oil');
  if (!oil || (known(oil.value) ?? 0) <= 0 || thrownOut(c, oil.at)) return false;
  return c.record.value('turn.plugs') === 'in';
}
