import { known } from '../../engine/profile.ts';
import { practice, type findingsOf } from '../../findings/collect.ts';
import type { Context } from '../../findings/context.ts';
import { say } from '../../units/index.ts';
import { fuelTree } from './symptoms.ts';

type Out = ReturnType<typeof findingsOf>;

/** The float's needle: by the bulb, and by pump and gauge. */
export function needle(c: Context, out: Out): void {
  floods(c, out);
  pumped(c, out);
}

/** Shares of the pressure lost in a minute: up to the first it holds as far as a gauge shows, from the second on it leaks (M). */
const HOLDS = 0.03;
const LEAKS = 0.1;

/** The needle under a hand pump: a new one loses nothing that a gauge shows in a minute. */
function pumped(c: Context, out: Out): void {
  const [from, to, minutes] = (['fuel.needleFrom', 'fuel.needleTo', 'fuel.needleTime'] as const).map((i) =>
    known(c.record.value(i))
  );
  if (from === undefined || to === undefined || !minutes || from <= 0) return;
  const lost = Math.max(0, from - to) / from / minutes;
  const p = (x: number): string => say(x, 'pressure', c.units);
  const condition = lost <= HOLDS ? 'sound' : lost < LEAKS ? 'cannot-tell' : 'fault';
  out.add(
    'needle',
    condition,
    condition === 'sound'
      ? `The needle holds: ${p(from)} pumped up, ${p(to)} left.`
      : condition === 'fault'
        ? `The needle leaks: of ${p(from)} ${p(to)} is left after ${minutes} min. Needle and seat together; a new needle in a worn seat leaks again.`
        : `The needle loses ${p(from - to)} of ${p(from)} in ${minutes} min: wet it with fuel and pump it up again before it is blamed.`,
    practice(
      [`pumped to ${p(from)}`, `after ${minutes} min: ${p(to)}`],
      'a needle that closes holds what a hand pump puts on it.',
      {
        value: `${Math.round(100 * lost)} % a minute`,
        limit: `${100 * HOLDS} % holds, ${100 * LEAKS} % leaks (from memory)`
      }
    )
  );
}

/** Flooding that nothing asked for: the search for what starves it knows the needle by it already. */
function floods(c: Context, out: Out): void {
  const seen = c.record.value('fuel.floods');
  if ((seen !== 'yes' && seen !== 'slow') || fuelTree(c)?.found?.id === 'needle') return;
  out.add(
    'floods',
    seen === 'yes' ? 'fault' : 'watch',
    seen === 'yes'
      ? 'Fuel runs from the carburettor with the bulb firm: the needle does not close, or the float is heavy or set high. It floods, and it can burn.'
      : 'The bulb goes soft slowly: a needle that weeps, or a joint. Every joint dry first, then the bowl.',
    practice(
      [`with the bulb firm: ${seen === 'yes' ? 'fuel runs' : 'the bulb goes soft'}`],
      'a needle that closes keeps the bulb firm and the carburettor dry.'
    )
  );
}
