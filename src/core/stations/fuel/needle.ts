import { known } from '../../engine/profile.ts';
import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';
import type { FuelFact } from './facts.ts';
import { fuelTree } from './symptoms.ts';

/** Shares of the pressure lost in a minute: up to the first it holds as far as a gauge shows, from the second on it leaks (M). */
export const NEEDLE = { holds: 0.03, leaks: 0.1 } as const;

/** The float's needle: by the bulb, and by pump and gauge. */
export const needleFacts = (c: Context): FuelFact[] => [...floods(c), ...pumped(c)];

/** Flooding that nothing asked for: the search for what starves it knows the needle by it already. */
function floods(c: Context): FuelFact[] {
  const seen = c.record.value('fuel.floods');
  if ((seen !== 'yes' && seen !== 'slow') || fuelTree(c)?.found?.id === 'needle') return [];
  const slow = seen === 'slow';
  if (slow && heldSince(c)) return [];
  return [{ kind: 'floods', condition: slow ? 'watch' : 'fault', values: { slow } }];
}

/** Pumped up since, the needle lost nothing: a gauge says more than how soft a bulb feels, and what let it go soft is no fault (C). */
function heldSince(c: Context): boolean {
  const [soft, pumpedUp] = [c.record.last('fuel.floods'), c.record.last('fuel.needleTo')];
  return !!soft && !!pumpedUp && isAfter(pumpedUp.at, soft.at) && pumped(c).every((f) => f.condition === 'sound');
}

/** The needle under a hand pump: a new one loses nothing that a gauge shows in a minute. */
function pumped(c: Context): FuelFact[] {
  const [from, to, minutes] = (['fuel.needleFrom', 'fuel.needleTo', 'fuel.needleTime'] as const).map((i) =>
    known(c.record.value(i))
  );
  if (from === undefined || to === undefined || !minutes || from <= 0) return [];
  const lost = Math.max(0, from - to) / from / minutes;
  const condition = lost <= NEEDLE.holds ? 'sound' : lost < NEEDLE.leaks ? 'cannot-tell' : 'fault';
  return [{ kind: 'needle', condition, values: { from, to, minutes, lost } }];
}
