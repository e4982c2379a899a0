import type { LogPlan } from '$core/instruments/logger/plan.ts';
import { LogReader, type LogResult } from '$core/instruments/logger/reader.ts';
import { LogScan, type LogTable } from '$core/instruments/logger/scan.ts';
import { delimiterOf, encodingOf, headOf } from '$core/instruments/logger/table.ts';
import { expose } from 'comlink';
import Papa from 'papaparse';

const CHUNK = 512 * 1024;
/** Bytes from which encoding, delimiter and header are told. */
const LOOKED = 64 * 1024;

/** How the bytes of a file become rows. */
export interface LogCut {
  readonly encoding: string;
  readonly delimiter: string;
  /** Rows above the first row of figures. */
  readonly skip: number;
}
export interface LookedAt {
  readonly table: LogTable;
  readonly cut: LogCut;
}
type Progress = (share: number, rows: number) => void;

/** Every row of figures of a file, a chunk at a time. */
const rowsOf = (file: File, cut: LogCut, row: (cells: string[]) => void, progress: Progress): Promise<void> =>
  new Promise((resolve, reject) => {
    let seen = 0;
    Papa.parse<string[]>(file, {
      delimiter: cut.delimiter,
      encoding: cut.encoding,
      skipEmptyLines: 'greedy',
      chunkSize: CHUNK,
      chunk: ({ data, meta }) => {
        for (const cells of data) if (seen++ >= cut.skip) row(cells);
        progress(Math.min(1, meta.cursor / Math.max(1, file.size)), seen);
      },
      complete: () => resolve(),
      error: (e) => reject(new Error(e.message))
    });
  });

async function look(file: File, progress: Progress): Promise<LookedAt | undefined> {
  const bytes = new Uint8Array(await file.slice(0, LOOKED).arrayBuffer());
  const encoding = encodingOf(bytes);
  const text = new TextDecoder(encoding).decode(bytes);
  // The last line of what was looked at may be cut in two.
  const whole = file.size > LOOKED ? text.slice(0, Math.max(text.lastIndexOf('\n'), text.lastIndexOf('\r'))) : text;
  const delimiter = delimiterOf(whole);
  if (!delimiter) return undefined;
  const { data } = Papa.parse<string[]>(whole, { delimiter, preview: 60, skipEmptyLines: 'greedy' });
  const head = headOf(data);
  if (!head) return undefined;
  const cut = { encoding, delimiter, skip: head.skip };
  const scan = new LogScan(head.header, head.preface);
  await rowsOf(file, cut, (row) => scan.push(row), progress);
  return { table: scan.finish(), cut };
}

async function read(file: File, plan: LogPlan, cut: LogCut, progress: Progress): Promise<LogResult> {
  const reader = new LogReader(plan);
  await rowsOf(file, cut, (row) => reader.push(row), progress);
  return reader.finish(file.name);
}

/** Loggers' files on a thread of their own: every row looked at once, then read as was confirmed, both with progress. */
const api = { look, read };
export type LogWorker = typeof api;
expose(api);
