import { LASHES } from './lash.ts';
import { bankCount } from '../../engine/banks.ts';
import { apartSince } from '../../findings/apart-since.ts';
import { cylindersOf, type Context } from '../../findings/context.ts';
import type { TestFact } from './facts.ts';

/** What is read of a cylinder through its plug hole, and says that its head is on tight. */
const READ = ['compression.pressure', 'compression.pulls', 'compression.leakdown'] as const;

/**
 * Cylinders whose head was off since they were read, beside one that was read again. The head covers its whole bank: the gasket is new for
 * all of them. Where none was read since, the proof of the work asks for it.
 */
export function unreadSinceHeadOff(c: Context): number[] {
  const all = cylindersOf(c);
  const banks = bankCount(c.survey.engine.profile, all.length);
  const told = (cylinder: number): boolean =>
    READ.some((item) => c.record.all(item, { cylinder }).some((r) => r.value !== 'unknown'));
  // What was never read is missing, and said as that.
  const unread = all.filter((cylinder) => told(cylinder) && apartSince(c, READ, { cylinder }));
  const read = all.filter((k) => told(k) && !unread.includes(k)).map((k) => k % banks);
  return unread.filter((k) => read.includes(k % banks));
}

/** What was read before the head came off, and says nothing of how it was put back. */
export function headOff(c: Context): TestFact[] {
  const cylinders = unreadSinceHeadOff(c);
  const lashed = LASHES.some((item) => c.record.all(item).some((r) => typeof r.value === 'number'));
  return [
    ...(cylinders.length ? [{ kind: 'head-was-off', condition: 'cannot-tell', values: { cylinders } } as const] : []),
    ...(lashed && apartSince(c, LASHES) ? [{ kind: 'lash-before', condition: 'cannot-tell', values: {} } as const] : [])
  ];
}
