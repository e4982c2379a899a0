import type { Context } from '../../findings/context.ts';
import { isAfter } from '../../units/instant.ts';

/** The latest start that failed. */
export const failedStart = (c: Context) => c.record.all('run.outcome').findLast((r) => r.value === 'failed');

/** Fuel, spark, plugs or starter were worked on after it. */
export const mendedForStart = (c: Context): boolean =>
  (['fuel', 'spark', 'plugs'] as const).some((s) => c.worked(s).some((at) => isAfter(at, failedStart(c)?.at)));
