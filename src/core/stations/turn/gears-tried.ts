import type { Context } from '../../findings/context.ts';

/** Whether neutral and the gears were tried at all, by hand or under power; an engine on direct drive has none. */
export const gearsTried = (c: Context): boolean =>
  c.survey.engine.profile.shift === 'direct' ||
  (['turn.neutral', 'turn.forward', 'turn.reverse', 'run.gears'] as const).some((i) => c.record.value(i) !== undefined);
