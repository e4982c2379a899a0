import { answersFrom } from '$core/instruments/logger/answers.ts';
import { answersOf, planAgain, planOf, questionsOf, signatureOf, type LogPlan } from '$core/instruments/logger/plan.ts';
import { LogReader, type LogResult } from '$core/instruments/logger/reader.ts';
import type { LogTable } from '$core/instruments/logger/scan.ts';
import type { LogWorker, LookedAt } from '$lib/workers/log.worker.ts';
import { proxy, wrap, type Remote } from 'comlink';

/** Larger files are not a logger's record of one run. */
const MOST = 200 * 1024 * 1024;
type Logs = Extract<LogResult, { ok: true }>['logs'];

const keyOf = (table: LogTable): string => `indaga-logger:${signatureOf(table)}`;

/** A logger's file on its way in: looked at, what it leaves open asked, read in a worker with progress, cancelled at any time. */
export class LogImport {
  state: 'idle' | 'looking' | 'asking' | 'reading' = $state('idle');
  file: File | undefined = $state.raw();
  looked: LookedAt | undefined = $state.raw();
  plan: LogPlan | undefined = $state.raw();
  /** Answers of an earlier file of this logger were used. */
  again = $state(false);
  share = $state(0);
  rows = $state(0);
  message = $state('');
  readonly questions = $derived(this.looked && this.plan ? questionsOf(this.looked.table, this.plan) : []);
  /** The first and last rows as they would be read. */
  readonly preview = $derived.by((): Logs => {
    if (!this.looked || !this.plan || this.questions.length) return [];
    const reader = new LogReader(this.plan);
    for (const row of [...this.looked.table.first, ...this.looked.table.last]) reader.push(row);
    const result = reader.finish();
    return result.ok ? result.logs : [];
  });
  private worker: Worker | undefined;
  private remote: Remote<LogWorker> | undefined;

  private open(): Remote<LogWorker> {
    if (!this.remote) {
      this.worker = new Worker(new URL('../../../workers/log.worker.ts', import.meta.url), { type: 'module' });
      this.remote = wrap<LogWorker>(this.worker);
    }
    return this.remote;
  }

  private progress(): (share: number, rows: number) => void {
    [this.share, this.rows] = [0, 0];
    return proxy((share: number, rows: number) => {
      [this.share, this.rows] = [share, rows];
    });
  }

  async look(file: File): Promise<void> {
    this.cancel();
    this.message = '';
    if (file.size === 0) return void (this.message = `${file.name} is empty.`);
    if (file.size > MOST) return void (this.message = `${file.name} is over 200 MB; that is no record of one run.`);
    [this.file, this.state] = [file, 'looking'];
    try {
      const looked = await this.open().look(file, this.progress());
      if (!looked?.table.rows) return this.fail(`${file.name} has no rows of figures that could be read.`);
      const answers = answersFrom(localStorage.getItem(keyOf(looked.table)));
      [this.looked, this.again] = [looked, answers !== undefined];
      this.plan = answers ? planAgain(looked.table, answers) : planOf(looked.table);
      this.state = 'asking';
    } catch {
      this.fail(`${file.name} could not be read as a table of figures.`);
    }
  }

  /** What a person said of its columns. */
  say(plan: LogPlan): void {
    [this.plan, this.message] = [plan, ''];
  }

  async read(): Promise<Logs | undefined> {
    const { file, looked, plan } = this;
    if (!file || !looked || !plan) return undefined;
    if (this.questions.length) return void (this.message = this.questions[0]!.because);
    this.message = '';
    this.state = 'reading';
    const from = performance.now();
    try {
      const result = await this.open().read(file, plan, looked.cut, this.progress());
      performance.measure('csv-import', { start: from, end: performance.now() });
      if (!result.ok) {
        [this.message, this.state] = [result.message, 'asking'];
        return undefined;
      }
      this.keep(looked.table, plan);
      this.cancel();
      return result.logs;
    } catch {
      this.fail('The file could not be read to its end; nothing was recorded.');
      return undefined;
    }
  }

  /** Keeps what was said for the next file of this logger; a browser that keeps nothing asks again. */
  private keep(table: LogTable, plan: LogPlan): void {
    try {
      localStorage.setItem(keyOf(table), JSON.stringify(answersOf(table, plan)));
    } catch {
      // Full or forbidden storage loses a convenience only.
    }
  }

  private fail(message: string): void {
    this.cancel();
    this.message = message;
  }

  /** Ends what is under way; nothing of it is recorded. */
  cancel(): void {
    this.worker?.terminate();
    [this.worker, this.remote] = [undefined, undefined];
    [this.state, this.file, this.looked, this.plan] = ['idle', undefined, undefined, undefined];
  }
}
