import { fitterOf } from '$core/stations/compression/fitter.ts';
import type { LeakTask } from '$core/stations/compression/leak.ts';
import type { LeakFit, LeakFitter } from '$core/physics/cranking-fit.ts';
import type { CompressionWorker } from '$lib/workers/compression.worker.ts';
import type { Remote } from 'comlink';

/** The fit of the latest readings, made by a worker; an older one under way is thrown away. */
export class LeakFitting {
  state: 'idle' | 'working' | 'done' | 'failed' = $state('idle');
  fit: LeakFit | undefined = $state.raw();
  /** The task the fit belongs to. */
  task: LeakTask | undefined = $state.raw();
  /** Somebody looks at it: it is made before anything is entered. */
  shown = $state(false);
  private worker: Worker | undefined;
  private remote: Remote<CompressionWorker> | undefined;
  private key = '';

  /** The fit of these readings where it is the one that was made last; it comes later where it is not. */
  readonly of: LeakFitter = (observed, conditions) =>
    this.fit && this.task ? fitterOf(this.task, this.fit)(observed, conditions) : undefined;

  /** Asks for the fit of a task; the same task twice is one fit. */
  async ask(task: LeakTask | undefined): Promise<void> {
    const key = JSON.stringify(task);
    if (key === this.key) return;
    this.key = key;
    if (!task?.ok) {
      this.stop();
      [this.task, this.fit, this.state] = [task, undefined, 'idle'];
      return;
    }
    if (this.state === 'working') this.stop();
    this.state = 'working';
    try {
      if (!this.remote) {
        this.worker = new Worker(new URL('../../workers/compression.worker.ts', import.meta.url), { type: 'module' });
        const { wrap } = await import('comlink');
        this.remote = wrap<CompressionWorker>(this.worker);
      }
      const from = performance.now();
      const fit = await this.remote.fit(task);
      // Read by `npm run bench`, and by whoever looks at the browser's timeline.
      performance.measure('compression-fit', { start: from, end: performance.now() });
      if (this.key !== key) return;
      [this.task, this.fit, this.state] = [task, fit, 'done'];
    } catch {
      if (this.key === key) this.state = 'failed';
    }
  }

  /** Ends a fit under way; its worker goes with it. */
  stop(): void {
    this.worker?.terminate();
    [this.worker, this.remote] = [undefined, undefined];
    if (this.state === 'working') this.state = 'idle';
  }
}
