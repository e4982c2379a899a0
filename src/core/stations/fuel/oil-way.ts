import type { Profile } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';

/** Whether oil may be mixed into the fuel of an engine of this profile. */
export const mayMix = (p: Profile): boolean => p.lubrication === 'premix' || p.strokes === 'two';
/** Whether an engine of this profile may have a tank for its oil. */
export const mayInject = (p: Profile): boolean =>
  p.lubrication === 'injection' || (p.strokes === 'two' && p.lubrication !== 'premix' && p.lubrication !== 'sump');

/** How oil gets to the cylinders of an engine that burns it: with its fuel, from a tank of its own, or nobody said which. */
export type OilWay = 'fuel' | 'tank' | 'unsaid';

/**
 * How this engine gets its oil; nothing for one that does not burn it, or of which not even the strokes are known. An injection
 * that was taken out leaves no oil tank: such an engine is mixed (C).
 */
export function oilWay(c: Context): OilWay | undefined {
  const { profile } = c.survey.engine;
  if (!mayMix(profile) && !mayInject(profile)) return undefined;
  if (profile.lubrication === 'premix') return 'fuel';
  const tank = c.record.value('fuel.oilTank');
  if (tank) return tank === 'not-fitted' ? 'fuel' : 'tank';
  if (profile.lubrication === 'injection') return 'tank';
  // Whoever says how it is mixed says that it is mixed.
  const mixed = (['fuel.mix', 'fuel.tankMix'] as const).some((i) => c.record.last(i));
  return mixed ? 'fuel' : 'unsaid';
}
