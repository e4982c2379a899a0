import { deltaBetween } from '$core/survey/delta.ts';
import type { SurveyFile } from '$core/record/survey-file.ts';
import type { JudgeWorker } from '$lib/workers/judge.worker.ts';
import type { JudgeAnswer, Suspects } from '$lib/workers/judging.ts';
import { within } from '$lib/workers/within.ts';
import type { Remote } from 'comlink';
import type { Session } from './session.svelte.ts';

/** What one judgement is made of. */
const questionOf = (s: Session): readonly unknown[] => [s.survey, s.preview, s.now, s.leaks.fit, s.advice];

/** A judgement takes well under a second, and its worker some seconds to load on a slow line; after so long, ms, the page does it. */
const ANSWERS = 15_000;

type Judge = (session: Session) => Promise<JudgeAnswer>;

/** A worker that judges. It keeps the survey, and is told what changed in it. */
class JudgingWorker {
  private readonly starting: Promise<Remote<JudgeWorker>>;
  private readonly failed: Promise<never>;
  private worker: Worker | undefined;
  private told: SurveyFile | undefined;
  private suspects: Suspects;

  constructor() {
    const worker = new Worker(new URL('../../workers/judge.worker.ts', import.meta.url), { type: 'module' });
    this.worker = worker;
    this.failed = new Promise((_, reject) => (worker.onerror = () => reject(new Error('The worker did not start.'))));
    this.failed.catch(() => undefined);
    this.starting = import('comlink').then(({ wrap }) => wrap<JudgeWorker>(worker));
  }

  readonly judge: Judge = (session) => within(ANSWERS, this.ask(session));

  private async ask(session: Session): Promise<JudgeAnswer> {
    const remote = await this.starting;
    const delta = deltaBetween(this.told, session.survey);
    this.told = session.survey;
    const suspects = session.advice?.suspects;
    const weighed = suspects === this.suspects ? undefined : { suspects };
    this.suspects = suspects;
    return Promise.race([remote.judge(delta, session.asked(), weighed), this.failed]);
  }

  end(): void {
    this.worker?.terminate();
    this.worker = undefined;
  }
}

/**
 * Findings and holds of a session, judged by a worker whenever something is typed, recorded or told. One judgement is under
 * way at a time; what changes meanwhile is judged next, and what came between is passed over. Where no worker can be had
 * the page judges by itself.
 */
export class Concluding {
  private worker: JudgingWorker | undefined;
  private wanted = false;
  private busy = false;
  private ended = false;
  private here: Judge | undefined;

  constructor(private readonly session: Session) {}

  /** Has the session judged as it stands now. */
  ask(): void {
    this.wanted = true;
    if (!this.busy) void this.work();
  }

  /** Starts the worker and tells it the survey, so that the first key pressed waits for neither. */
  async warm(): Promise<void> {
    if (this.worker || this.ended) return;
    // What cannot be judged now is said when something is entered.
    const answer = await this.judge().catch(() => undefined);
    if (answer && !this.ended) void this.session.leaks.ask(answer.task);
  }

  private async work(): Promise<void> {
    this.busy = true;
    const { session } = this;
    try {
      while (this.wanted && !this.ended) {
        this.wanted = false;
        const question = questionOf(session);
        const { concluded, task } = await this.judge();
        if (this.ended) return;
        // Judged of what stood a moment ago, it still says more than what was said before that.
        session.conclude(concluded);
        session.unjudged = false;
        // Only what is recorded is fitted: a half-typed number is judged but not worth a fit.
        const stands = questionOf(session).every((part, k) => part === question[k]);
        if (stands && !session.preview) void session.leaks.ask(task);
      }
    } catch {
      session.unjudged = true;
    } finally {
      this.busy = false;
    }
  }

  private async judge(): Promise<JudgeAnswer> {
    if (!this.here)
      try {
        this.worker ??= new JudgingWorker();
        return await this.worker.judge(this.session);
      } catch {
        this.worker?.end();
      }
    if (!this.here) {
      const { judgeAsked } = await import('$lib/workers/judging.ts');
      this.here = async (session) => judgeAsked(session.survey, session.asked(), session.advice?.suspects);
    }
    return this.here(this.session);
  }

  end(): void {
    this.ended = true;
    this.worker?.end();
  }
}

/** What a hand does before it enters anything. */
const handMoves = ['pointerdown', 'focusin', 'keydown'] as const;

/** Calls `then` at the first move of a hand on the page; ended by the function that it gives back. */
function atFirstHand(then: () => void): () => void {
  const end = (): void => {
    for (const move of handMoves) window.removeEventListener(move, first, true);
  };
  const first = (): void => {
    end();
    then();
  };
  for (const move of handMoves) window.addEventListener(move, first, { capture: true, passive: true });
  return end;
}

/**
 * Keeps a session judged while a component shows it; called as the component is made. The page came with what the server
 * concluded, so that nothing is judged before something changes. With `ahead` the worker is there before that: from the
 * first touch, focus or key on, or where the fit that it asks for is shown. A page that is only read starts none: loading
 * the rules costs more than all the rest of opening a page.
 */
export function concludeBeside(session: () => Session, ahead = true): void {
  let concluding: Concluding | undefined;
  let judged: readonly unknown[] = [];
  let of: Session | undefined;
  $effect(() => {
    const here = session();
    const question = questionOf(here);
    if (of !== here) {
      concluding?.end();
      concluding = new Concluding(here);
      [of, judged] = [here, here.cameWith];
    }
    if (question.every((part, k) => part === judged[k])) return;
    judged = question;
    concluding!.ask();
  });
  $effect(() => {
    if (!ahead) return;
    const warm = (): void => void concluding?.warm();
    if (!session().leaks.shown) return atFirstHand(warm);
    // A moment after the page is there: what it first shows is judged already.
    const soon = setTimeout(warm, 400);
    return () => clearTimeout(soon);
  });
  $effect(() => () => concluding?.end());
}
