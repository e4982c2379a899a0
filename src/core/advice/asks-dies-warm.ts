import { LASHES } from '../stations/compression/lash.ts';
import { askedAfter } from '../findings/asked-after.ts';
import type { Context } from '../findings/context.ts';
import { diedWarm, sparkHeldHot } from '../stations/run/dies-warm.ts';
import { sparkSeen } from '../stations/spark/seen.ts';
import type { ItemId } from '../stations/items.ts';
import { look, type AskRule } from './ask.ts';
import { four, hasBulb, sparkWhileDead } from './asks-fuel.ts';
import { coldAndWarm } from './asks-spark.ts';
import { untilFound } from './until-found.ts';

const where = (is: (c: Context) => boolean, r: AskRule): AskRule => ({ ...r, open: (c, f) => is(c) && r.open(c, f) });
/** Looked at before it died, it was as it was then. */
const sinceItDied = (
  is: (c: Context) => boolean,
  title: string,
  items: readonly ItemId[],
  minutes: number,
  more: Partial<AskRule> = {}
): AskRule =>
  look(title, items, minutes, { ...more, open: (c) => is(c) && items.some((i) => !askedAfter(c, i, diedWarm(c))) });

/** Squeezing does the pump's work: what it revives wants for a pump, or draws air; what it does not is blocked upstream. */
const squeezed =
  (is: 'yes' | 'no') =>
  (c: Context): boolean =>
    sparkHeldHot(c) && c.record.value('fuel.revived') === is && askedAfter(c, 'fuel.revived', diedWarm(c));
const vented = (c: Context): boolean => c.survey.engine.profile.supply !== 'pressurised';

/**
 * It dies when it is warm, and runs again cold (C): spark while it is dead tells ignition from the rest. With spark it is fuel that
 * does not come, or valves that close up with the heat.
 */
export const diesWarm: readonly AskRule[] = untilFound(
  sparkWhileDead('Spark at once, while it is hot and will not run', diedWarm),
  where((c) => !sparkHeldHot(c) && !sparkSeen(c).some((s) => s.failsWarm), coldAndWarm),
  where((c) => vented(c) && !sparkHeldHot(c), look('Tank vent', ['fuel.vent'], 1)),
  sinceItDied((c) => vented(c) && sparkHeldHot(c), 'Tank vent', ['fuel.vent'], 1),
  sinceItDied(
    (c) => sparkHeldHot(c) && hasBulb(c),
    'Squeeze the bulb while it dies: does it come back?',
    ['fuel.revived'],
    5,
    { needs: 'start' }
  ),
  sinceItDied(squeezed('yes'), 'Hose and couplings, bubbles', ['fuel.hose', 'fuel.couplings'], 3),
  sinceItDied(squeezed('yes'), 'Pump the fuel pump by hand', ['fuel.pump'], 10),
  sinceItDied(squeezed('no'), 'The same run on a portable tank', ['fuel.portable'], 20, { needs: 'start' }),
  where((c) => sparkHeldHot(c) && four(c), look('Valve lash, cold, every cylinder', LASHES, 20))
);
