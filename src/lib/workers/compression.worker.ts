import { expose } from 'comlink';
import { fitOf } from '$core/stations/compression/leak-fit.ts';
import type { LeakTask } from '$core/stations/compression/leak.ts';

/** Fits on a thread of its own: a task in, the fit out. */
const api = { fit: (task: LeakTask) => fitOf(task) };
export type CompressionWorker = typeof api;
expose(api);
