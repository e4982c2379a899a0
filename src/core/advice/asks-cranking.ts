import type { Context } from '../findings/context.ts';
import { compareAll } from '../stations/compression/compare.ts';
import { look } from './ask.ts';

/** What cranks it, looked at while it cranks. */
export const underLoad = look(
  'Battery and starter under load',
  ['plugs.starterCircuit', 'plugs.starterDirect', 'plugs.volts'],
  5,
  { needs: 'crank' }
);

export const turnsByStarter = (c: Context): boolean => c.survey.engine.profile.starting !== 'rope';

/** Every cylinder was read twice as weakly cranked: a third time tells the same, and what cranks it comes next. */
export function crankedWeaklyTwice(c: Context): boolean {
  const found = compareAll(c);
  return found?.weak !== undefined && found.rows.every((r) => r.readings.length > 1);
}
