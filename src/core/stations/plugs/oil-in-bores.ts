import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';

/** Oil in each bore, m³, where some was put in; readings taken after it are oiled ones. */
export const boreOil = (c: Context): number | undefined => {
  const oil = known(c.record.value('plugs.oil'));
  return oil === undefined || oil <= 0 ? undefined : oil;
};
