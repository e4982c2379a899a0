import type { Decision } from '$core/decision/decide.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import type { System } from '$core/units/index.ts';
import type { AdviceWorker } from '$lib/workers/advice.worker.ts';
import { wrap } from 'comlink';

/** Draws of one decision, and the seed that makes them the same every day. */
const DRAWS = 20_000;
const SEED = 0.42;
const QUIET = 200;

/** The decision over the latest survey, drawn by a worker; stopping throws the worker away. */
export class Deciding {
  state: 'idle' | 'working' | 'failed' = $state('idle');
  decision: Decision | undefined = $state.raw();
  private worker: Worker | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;

  ask(survey: SurveyFile, units: System): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.draw(survey, units), QUIET);
  }

  private async draw(survey: SurveyFile, units: System): Promise<void> {
    this.worker?.terminate();
    const worker = new Worker(new URL('../../workers/advice.worker.ts', import.meta.url), { type: 'module' });
    this.worker = worker;
    this.state = 'working';
    const failed = (): void => {
      if (this.worker === worker) this.state = 'failed';
    };
    worker.onerror = failed;
    try {
      const decision = await wrap<AdviceWorker>(worker).decide(survey, new Date().toISOString(), units, DRAWS, SEED);
      if (this.worker !== worker) return;
      this.decision = decision;
      this.state = 'idle';
    } catch {
      failed();
    }
  }

  stop(): void {
    clearTimeout(this.timer);
    this.worker?.terminate();
    this.worker = undefined;
    this.state = 'idle';
  }
}
