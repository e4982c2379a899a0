import { guessPlan, headerAt, LogReader, type LogPlan } from '$core/stations/run/log-csv.ts';
import { expose } from 'comlink';
import Papa from 'papaparse';

/** Rows shown before a file is read. */
const PREVIEW = 8;
const CHUNK = 512 * 1024;

export interface LogHead {
  readonly header: string[];
  readonly rows: string[][];
  readonly plan: LogPlan;
  readonly delimiter: string;
  /** Rows above the first row of figures. */
  readonly skip: number;
}

const head = (file: File): Promise<LogHead> =>
  new Promise((resolve, reject) =>
    Papa.parse<string[]>(file, {
      preview: PREVIEW + 20,
      skipEmptyLines: 'greedy',
      complete: ({ data, meta }) => {
        const at = headerAt(data);
        const rows = at === undefined ? [] : data.slice(at + 1, at + 1 + PREVIEW);
        const width = Math.max(0, ...rows.map((r) => r.length));
        const header =
          at !== undefined && at >= 0 ? data[at]! : Array.from({ length: width }, (_, k) => `column ${k + 1}`);
        const delimiter = meta.delimiter;
        resolve({ header, rows, delimiter, skip: (at ?? -1) + 1, plan: guessPlan(header, rows, delimiter) });
      },
      error: (e) => reject(new Error(e.message))
    })
  );

const read = (
  file: File,
  plan: LogPlan,
  how: Pick<LogHead, 'delimiter' | 'skip'>,
  progress: (share: number, rows: number) => void
): Promise<ReturnType<LogReader['finish']>> =>
  new Promise((resolve, reject) => {
    const reader = new LogReader(plan);
    let seen = 0;
    Papa.parse<string[]>(file, {
      delimiter: how.delimiter,
      skipEmptyLines: 'greedy',
      chunkSize: CHUNK,
      chunk: ({ data, meta }) => {
        for (const row of data) if (seen++ >= how.skip) reader.push(row);
        progress(Math.min(1, meta.cursor / Math.max(1, file.size)), seen);
      },
      complete: () => resolve(reader.finish(file.name)),
      error: (e) => reject(new Error(e.message))
    });
  });

/** Loggers' files on a thread of their own: a look at the first rows, then the whole file with its progress. */
const api = { head, read };
export type LogWorker = typeof api;
expose(api);
