import type { LookedAt, Readings } from '../record/current.ts';
import type { Context } from './context.ts';

/** Something that was worked out for a judgement, with what it rests on. */
interface Kept {
  readonly value: unknown;
  readonly looked: LookedAt;
}
type Make = (c: Context) => unknown;

interface Memory {
  readonly context: Context;
  readonly kept: Map<Make, Kept>;
}

const memories = new WeakMap<Readings, Memory>();

/** Whether two judgements differ in their readings only. */
const alike = (a: Context, b: Context): boolean =>
  a.survey.engine === b.survey.engine &&
  a.survey.houseRules === b.survey.houseRules &&
  a.survey.assessment === b.survey.assessment &&
  a.survey.steps === b.survey.steps &&
  // Work that the readings tell of is in no list of steps, and a look back leaves out some that is.
  a.basis === b.basis &&
  a.units === b.units &&
  'fitLeaks' in a === 'fitLeaks' in b;

function memoryOf(c: Context): Memory {
  const own = memories.get(c.record);
  if (own?.context === c) return own;
  const from = own ?? (c.record.from && memories.get(c.record.from));
  const kept = new Map<Make, Kept>();
  const now = c.now.getTime();
  if (from && alike(from.context, c))
    for (const [make, k] of from.kept) if (c.record.stands(k.looked, now)) kept.set(make, k);
  c.record.from = undefined;
  const memory = { context: c, kept };
  memories.set(c.record, memory);
  return memory;
}

/**
 * A part of a judgement, worked out once for it, and taken over from the judgement before where nothing that it looked at has
 * changed since: what a survey of thousands of readings says of the gear case does not depend on one more temperature.
 * `make` must be one function for one thing, and look at nothing but the context.
 */
export function keep<T>(c: Context, make: (c: Context) => T): T {
  const memory = memoryOf(c);
  const old = memory.kept.get(make);
  if (old) {
    c.record.lookedAt(old.looked);
    return old.value as T;
  }
  const [value, looked] = c.record.watch(() => make(c));
  memory.kept.set(make, { value, looked });
  return value;
}
