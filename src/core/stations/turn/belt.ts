import { apartSince } from '../../findings/apart-since.ts';
import type { Context } from '../../findings/context.ts';
import { isAfter, type Instant } from '../../units/instant.ts';
import { ofThisPart } from '../../findings/renewed.ts';

/** The timing belt that is on it was seen slack or off its marks. */
export const beltJumped = (c: Context): boolean => ofThisPart(c, 'turn.belt') === 'slack';

/** A belt that was seen slack or jumped was set on its marks after an instant: what was read until then says how it was. */
export const beltSetSince = (c: Context, at: Instant): boolean =>
  c
    .touched('turn.belt')
    .some(
      (set) => isAfter(set, at) && c.record.all('turn.belt').some((r) => r.value === 'slack' && isAfter(set, r.at))
    );

/** A belt drives its valves, and nobody has seen this one with its marks in line. */
export function beltUnproved(c: Context): boolean {
  const { strokes, camDrive } = c.survey.engine.profile;
  const seen = ofThisPart(c, 'turn.belt');
  return strokes === 'four' && camDrive === 'belt' && seen !== 'sound' && seen !== 'renewed';
}

/**
 * The belt came off with the head, and nobody has looked at its marks since. Only where a belt drives the valves: said of the
 * engine, or seen.
 */
export function beltWasOff(c: Context): boolean {
  const { strokes, camDrive } = c.survey.engine.profile;
  const seen = ofThisPart(c, 'turn.belt');
  const told = (camDrive ?? 'unknown') !== 'unknown';
  const driven = told ? camDrive === 'belt' : seen !== undefined && seen !== 'not-fitted';
  return strokes !== 'two' && driven && apartSince(c, ['turn.belt']);
}
