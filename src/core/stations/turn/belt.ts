import { apartSince } from '../../findings/apart-since.ts';
import type { Context } from '../../findings/context.ts';
import { ofThisPart } from '../../findings/renewed.ts';

/** The timing belt that is on it was seen slack or off its marks. */
export const beltJumped = (c: Context): boolean => ofThisPart(c, 'turn.belt') === 'slack';

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
