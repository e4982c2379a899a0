import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';
import { error } from '@sveltejs/kit';
import { log } from '../log.ts';
import type { TaskName, Tasks } from './tasks.ts';

/** So many at once, so many more that wait, and for how long one may run, ms. A processor is left to the requests. */
const THREADS = Math.min(3, Math.max(1, os.availableParallelism() - 1));
const WAITING = 24;
const LONGEST = 60_000;

const file = path.resolve('build', 'work.mjs');
/** What a page waits for is short and comes often: it waits behind no PDF, on a thread of its own that stays. */
type Lane = 'pages' | 'papers';
const laneOf = (name: TaskName): Lane =>
  name === 'line' || name === 'weigh' || name === 'conclude' ? 'pages' : 'papers';
const sizes: Readonly<Record<Lane, { readonly minThreads: number; readonly maxThreads: number }>> = {
  pages: { minThreads: 1, maxThreads: 1 },
  papers: { minThreads: 0, maxThreads: THREADS }
};
const pools = new Map<Lane, Piscina>();
function threads(lane: Lane): Piscina | undefined {
  // In tests and while developing there is no bundle: the work is done here.
  if (!fs.existsSync(file) || process.env.VITEST || process.env.INDAGA_THREADS === '0') return undefined;
  const there = pools.get(lane);
  if (there) return there;
  const made = new Piscina({
    filename: file,
    ...sizes[lane],
    maxQueue: WAITING,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: 1024 }
  });
  pools.set(lane, made);
  return made;
}

/**
 * Does one heavy task beside the requests.
 * @throws the page's 503 with a sentence when too many wait already, or it took too long
 */
export async function inThread<N extends TaskName>(
  name: N,
  ...args: Parameters<Tasks[N]>
): Promise<Awaited<ReturnType<Tasks[N]>>> {
  const there = threads(laneOf(name));
  if (!there) {
    const { tasks } = await import('./tasks.ts');
    return (await (tasks[name] as (...a: unknown[]) => unknown)(...args)) as Awaited<ReturnType<Tasks[N]>>;
  }
  if (there.queueSize >= WAITING) error(503, 'Too much is being worked on here. Try again in a minute.');
  const signal = AbortSignal.timeout(LONGEST);
  try {
    return (await there.run({ name, args }, { signal })) as Awaited<ReturnType<Tasks[N]>>;
  } catch (err) {
    if (!signal.aborted) throw err;
    log.error({ name }, 'a task took too long and was ended');
    error(503, 'This took longer than a minute and was ended. Nothing was changed.');
  }
}

/** How much is under way, for `/health`. */
export const queues = (): { readonly waiting: number; readonly threads: number } => {
  const all = [...pools.values()];
  return {
    waiting: all.reduce((sum, p) => sum + p.queueSize, 0),
    threads: all.reduce((sum, p) => sum + p.threads.length, 0)
  };
};

/** Starts the thread that pages wait for, before the first one asks. */
export const startThreads = (): void => void threads('pages');
