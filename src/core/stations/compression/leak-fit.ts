import { leaksBeyondBest, type LeakFit } from '../../physics/cranking-fit.ts';
import type { LeakTask } from './leak.ts';

/**
 * The fit of a task; half a hundred to two hundred milliseconds, so the interface asks a worker for it. It stands apart
 * from what is said of it, so that the page does not carry the numerics that only the worker needs.
 */
export const leakFit = (task: LeakTask): LeakFit | undefined =>
  task.ok ? leaksBeyondBest(task.observed, task.conditions) : undefined;
