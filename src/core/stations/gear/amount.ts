import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { findingsOf, practice } from '../../findings/collect.ts';
import { judgedBy, sayLimit } from '../../findings/limit.ts';
import { say } from '../../units/index.ts';
import { oilLow, waterSeen } from './water.ts';

/** Share by which drained oil may differ from capacity before it means something (M: what clings, and the jug). */
export const DRAIN_TOLERANCE = 0.1;

/** How much oil came out, against what the case holds. */
export function amountFindings(c: Context, out: ReturnType<typeof findingsOf>): void {
  const drained = known(c.record.value('gear.drained'));
  if (drained === undefined) return unmeasured(c, out);
  const capacity = judgedBy(c, 'gear.capacity', known(c.survey.engine.profile.gearCapacity), 'engine profile');
  const inputs = [`drained: ${say(drained, 'volume', c.units)}`];
  if (!capacity) {
    out.add(
      'amount',
      'cannot-tell',
      `${say(drained, 'volume', c.units)} came out; without the capacity nobody can say whether that was all. Enter it from the manual.`,
      practice(inputs, 'the drained volume is compared with the capacity.')
    );
    return;
  }
  const share = drained / capacity.value;
  const why = {
    inputs,
    value: `${Math.round(share * 100)} % of capacity`,
    uncertainty: `± ${Math.round(DRAIN_TOLERANCE * 100)} % for what clings and the jug (from memory)`,
    limit: sayLimit(capacity, c.units),
    provenance: 'C' as const,
    source: 'Common practice: drained volume against capacity'
  };
  if (drained <= 0 || c.record.value('gear.look') === 'none')
    out.add(
      'amount',
      'fault',
      'The case was all but empty. Gears and bearings have run dry: look before it runs in gear.',
      why
    );
  else if (share > 1 + DRAIN_TOLERANCE)
    out.add(
      'amount',
      waterSeen(c) ? 'watch' : 'cannot-tell',
      `More came out (${say(drained, 'volume', c.units)}) than the case holds (${sayLimit(capacity, c.units)}): ${waterSeen(c) ? 'the rest is water' : 'water, overfilled, or the capacity is of another leg'}.`,
      why
    );
  else if (share < 1 - DRAIN_TOLERANCE)
    out.add(
      'amount',
      'watch',
      `${say(drained, 'volume', c.units)} came out of ${sayLimit(capacity, c.units)}: it was low, or it has not drained. Longer in the cold, tilted a little at the end.`,
      why
    );
  else out.add('amount', 'sound', `As much came out as the case holds.`, why);
}

/** Oil that did not come, before anybody measured it: nothing at a cracked plug may be oil that has set, an empty case is a leak. */
function unmeasured(c: Context, out: ReturnType<typeof findingsOf>): void {
  if (!oilLow(c)) return;
  const none = c.record.value('gear.look') === 'none';
  const why = practice(
    [
      `first out: ${c.record.value('gear.first') ?? 'not looked at'}`,
      `oil: ${c.record.value('gear.look') ?? 'not looked at'}`
    ],
    'oil that is missing went somewhere.'
  );
  if (none)
    out.add(
      'amount',
      'fault',
      'There is little or no oil in the case: it went somewhere. Case-test it before it is filled, and look at the magnet: gears and bearings have run dry.',
      why
    );
  else
    out.add(
      'nothing',
      'cannot-tell',
      'Nothing came at the lower plug: the case is empty, or what is in it has set. Both plugs out, drain it, measure it, look at the magnet.',
      why
    );
}
