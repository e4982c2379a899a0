import type { LogPlan } from '$core/stations/run/log-csv.ts';
import type { RunLog } from '$core/items/item.ts';
import type { LogHead, LogWorker } from '$lib/workers/log.worker.ts';
import { proxy, wrap, type Remote } from 'comlink';

/** Larger files are not a logger's record of one run. */
const MOST = 200 * 1024 * 1024;

/** A logger's file on its way in: looked at, its columns said, read in a worker with progress, cancelled at any time. */
export class LogImport {
  state: 'idle' | 'looking' | 'asking' | 'reading' = $state('idle');
  file: File | undefined = $state.raw();
  head: LogHead | undefined = $state.raw();
  plan: LogPlan | undefined = $state.raw();
  share = $state(0);
  rows = $state(0);
  message = $state('');
  private worker: Worker | undefined;
  private remote: Remote<LogWorker> | undefined;

  private open(): Remote<LogWorker> {
    if (!this.remote) {
      this.worker = new Worker(new URL('../../../workers/log.worker.ts', import.meta.url), { type: 'module' });
      this.remote = wrap<LogWorker>(this.worker);
    }
    return this.remote;
  }

  async look(file: File): Promise<void> {
    this.cancel();
    this.message = '';
    if (file.size === 0) return void (this.message = `${file.name} is empty.`);
    if (file.size > MOST) return void (this.message = `${file.name} is over 200 MB; that is no record of one run.`);
    [this.file, this.state] = [file, 'looking'];
    try {
      const head = await this.open().head(file);
      if (!head.rows.length) return this.fail(`${file.name} has no rows of figures that could be read.`);
      [this.head, this.plan, this.state] = [head, head.plan, 'asking'];
    } catch {
      this.fail(`${file.name} could not be read as a table of figures.`);
    }
  }

  async read(): Promise<RunLog | undefined> {
    const { file, head, plan } = this;
    if (!file || !head || !plan) return undefined;
    if (plan.mapping.time === undefined || plan.mapping.temperature === undefined)
      return void (this.message = 'Say which column is the time and which the temperature.');
    this.message = '';
    [this.state, this.share, this.rows] = ['reading', 0, 0];
    const from = performance.now();
    try {
      const result = await this.open().read(
        file,
        $state.snapshot(plan) as LogPlan,
        { delimiter: head.delimiter, skip: head.skip },
        proxy((share: number, rows: number) => {
          [this.share, this.rows] = [share, rows];
        })
      );
      performance.measure('csv-import', { start: from, end: performance.now() });
      if (!result.ok) {
        [this.message, this.state] = [result.message, 'asking'];
        return undefined;
      }
      this.cancel();
      return result.log;
    } catch {
      this.fail('The file could not be read to its end; nothing was recorded.');
      return undefined;
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
    [this.state, this.file, this.head, this.plan] = ['idle', undefined, undefined, undefined];
  }
}
