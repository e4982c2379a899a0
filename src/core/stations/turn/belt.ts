import type { Context } from '../../findings/context.ts';
import { ofThisPart } from '../../findings/renewed.ts';

/** The timing belt that is on it was seen slack or off its marks. */
export const beltJumped = (c: Context): boolean => ofThisPart(c, 'turn.belt') === 'slack';
