import type { changesBetween } from '$core/advice/changes.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import { deltaBetween } from '$core/survey/delta.ts';
import type { AdviceWorker } from '$lib/workers/advice.worker.ts';
import { within } from '$lib/workers/within.ts';
import type { Remote } from 'comlink';
import type { Session } from './session.svelte.ts';

/** A moment of quiet before a survey is weighed again, ms: nobody reads advice between two keystrokes. */
const QUIET = 120;

/** A weighing takes a second or two; a worker that has said nothing after so long, ms, is given up, and the next one is new. */
const ANSWERS = 40_000;

/** Suspects and next checks of the latest readings, weighed by a worker; an older weighing under way is thrown away. */
export class Advising {
  private worker: Worker | undefined;
  private remote: Remote<AdviceWorker> | undefined;
  /** The survey that the worker knows. */
  private told: SurveyFile | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private turn = 0;
  private changes: typeof changesBetween | undefined;

  ask(session: Session): void {
    clearTimeout(this.timer);
    session.weighing = 'weighing';
    const turn = ++this.turn;
    this.timer = setTimeout(() => void this.weigh(session, turn), QUIET);
  }

  private async weigh(session: Session, turn: number): Promise<void> {
    try {
      if (!this.remote) {
        const [{ wrap }, { changesBetween }] = await Promise.all([
          import('comlink'),
          import('$core/advice/changes.ts')
        ]);
        // Asked again while these were loaded: that asking starts the worker.
        if (turn !== this.turn) return;
        this.changes = changesBetween;
        this.worker = new Worker(new URL('../../workers/advice.worker.ts', import.meta.url), { type: 'module' });
        this.remote = wrap<AdviceWorker>(this.worker);
      }
      const from = performance.now();
      const delta = deltaBetween(this.told, session.survey);
      this.told = session.survey;
      const { advice, moves } = await within(
        ANSWERS,
        this.remote.advise(delta, new Date().toISOString(), session.units)
      );
      // Read by `npm run bench`.
      performance.measure('advice', { start: from, end: performance.now() });
      if (turn !== this.turn) return;
      if (session.advice) {
        const moved = this.changes!(session.advice, advice);
        if (moved.length) session.moved = moved;
      }
      session.advice = advice;
      session.moves = moves;
      session.weighing = 'done';
    } catch {
      if (turn !== this.turn) return;
      this.stop();
      session.weighing = 'failed';
    }
  }

  stop(): void {
    clearTimeout(this.timer);
    this.turn++;
    this.worker?.terminate();
    [this.worker, this.remote, this.told] = [undefined, undefined, undefined];
  }
}
