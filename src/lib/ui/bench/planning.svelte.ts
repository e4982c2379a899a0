import type { BenchInput, BenchPlan } from '$core/schedule/plan-bench.ts';
import type { Days } from '$core/schedule/today.ts';
import type { ScheduleWorker } from '$lib/workers/schedule.worker.ts';

/** How long the worker may look for a better plan, ms. */
const BUDGET = 1500;

/** The plan of the bench, made better by a worker; stopping keeps the best one so far. */
export class Planning {
  state: 'idle' | 'working' | 'failed' = $state('idle');
  share = $state(0);
  made: { readonly plan: BenchPlan; readonly today: Days } | undefined = $state.raw();
  private worker: Worker | undefined;

  async ask(input: BenchInput): Promise<void> {
    this.worker?.terminate();
    const { wrap, proxy } = await import('comlink');
    const worker = new Worker(new URL('../../workers/schedule.worker.ts', import.meta.url), { type: 'module' });
    this.worker = worker;
    [this.state, this.share] = ['working', 0];
    const failed = (): void => {
      if (this.worker === worker) this.state = 'failed';
    };
    worker.onerror = failed;
    try {
      const made = await wrap<ScheduleWorker>(worker).plan(
        input,
        BUDGET,
        proxy((plan: BenchPlan, today: Days, share: number) => {
          if (this.worker === worker) [this.made, this.share] = [{ plan, today }, share];
        })
      );
      if (this.worker !== worker) return;
      this.made = made;
      this.stop();
    } catch {
      failed();
    }
  }

  stop(): void {
    this.worker?.terminate();
    this.worker = undefined;
    this.state = 'idle';
  }
}
