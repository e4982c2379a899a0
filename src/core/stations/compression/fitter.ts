import type { LeakFit, LeakFitter } from '../../physics/cranking-fit.ts';
import type { LeakTask } from './leak.ts';

/** Answers with a fit that was made, where just that is asked for again; with nothing where it is another one. */
export const fitterOf =
  (task: LeakTask, fit: LeakFit): LeakFitter =>
  (observed, conditions) =>
    JSON.stringify(task) === JSON.stringify({ ok: true, observed, conditions }) ? fit : undefined;
