import { known } from '../../engine/profile.ts';
import { gearCapacity } from './capacity.ts';
import type { Context } from '../../findings/context.ts';
import { freezingPoint, roomForIce } from '../../physics/ice.ts';

export interface Frost {
  /** Water in the case, m³, when measured; the verdict needs only that there is some. */
  readonly water: number | undefined;
  readonly needs: number | undefined;
  /** Air left in the case once that came out, m³; nothing where drained volume or capacity are not known. */
  readonly air: number | undefined;
  readonly freezesAt: number;
  readonly coldest: number;
  readonly freezes: boolean;
}

/** Whether water in the case will freeze in the coldest night of the forecast. */
export function frost(c: Context): Frost | undefined {
  const coldest = known(c.record.value('safe.forecast'));
  if (coldest === undefined) return undefined;
  const kind = c.survey.engine.history.water;
  const freezesAt = freezingPoint(kind === 'unknown' ? undefined : kind);
  const water = known(c.record.value('gear.water'));
  const capacity = gearCapacity(c)?.value;
  const drained = known(c.record.value('gear.drained'));
  return {
    water,
    air: capacity === undefined || drained === undefined ? undefined : Math.max(0, capacity - drained),
    needs: water === undefined ? undefined : roomForIce(water),
    freezesAt,
    coldest,
    freezes: coldest <= freezesAt
  };
}
