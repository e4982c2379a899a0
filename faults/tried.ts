import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { seed } from '../demo/seed.ts';
import type { SurveyFile } from '../src/core/record/survey-file.ts';
import { openDatabase } from '../src/lib/server/db/open.ts';
import { openSurveys } from '../src/lib/server/store/surveys.ts';
import { randomFrom } from './mutate.ts';

/** What the faults share: how often each is tried, where its result goes, and yards to try it on. */
export const { values } = parseArgs({
  options: {
    times: { type: 'string', default: '1' },
    seed: { type: 'string', default: '1' },
    write: { type: 'boolean', default: false }
  }
});
export const random = randomFrom(Number(values.seed));
export const often = (n: number): number => Math.max(3, Math.round(n * Number(values.times)));

export interface Row {
  readonly fault: string;
  readonly tried: number | string;
  readonly result: string;
  readonly ok: boolean;
}
export const rows: Row[] = [];
/** Slower than this is a hang, ms. */
export const HANG = 1000;

export async function row(fault: string, work: () => Promise<Omit<Row, 'fault'>>): Promise<void> {
  const from = performance.now();
  const made = await work().catch((err: Error) => ({
    tried: '?',
    result: `FAILED: ${err.message.slice(0, 200)}`,
    ok: false
  }));
  rows.push({ fault, ...made });
  console.log(
    `${made.ok ? 'good ' : 'WRONG'}  ${fault}: ${made.tried}, ${made.result} (${Math.round((performance.now() - from) / 1000)} s)`
  );
}

export const temporary = (name: string): string => fs.mkdtempSync(path.join(os.tmpdir(), `indaga-faults-${name}-`));
export const examples = fs
  .readdirSync('docs/examples')
  .filter((f) => f.endsWith('.json'))
  .map((f) => JSON.parse(fs.readFileSync(path.join('docs/examples', f), 'utf8')) as SurveyFile);
export const now = new Date('2026-05-03T12:00:00Z');
let port = 4900;
export const nextPort = (): number => port++;

export function yardAt(directory: string): string[] {
  const db = openDatabase(directory);
  seed(now, { db, now });
  const ids = openSurveys({ db }).map((s) => s.id);
  db.$client.close();
  return ids;
}
export const entry = (id: string, k: number, more: object = {}) => ({
  type: 'reading',
  body: { id, at: new Date(now.getTime() + k * 1000).toISOString(), what: 'fuel.level', value: 'full', ...more }
});

/**
 * Gives something mutated to a reader so many times: taken (true), refused (false) or thrown, and the slowest of them.
 */
export function fed(n: number, words: readonly [string, string], read: (k: number) => boolean): Omit<Row, 'fault'> {
  let [taken, thrown, slowest] = [0, 0, 0];
  for (let k = 0; k < n; k++) {
    const from = performance.now();
    try {
      if (read(k)) taken++;
    } catch (err) {
      thrown++;
      if (thrown < 4) console.log('   ', (err as Error).stack?.split('\n').slice(0, 3).join(' | '));
    }
    slowest = Math.max(slowest, performance.now() - from);
  }
  return {
    tried: n,
    result: `${taken} ${words[0]}, ${n - taken - thrown} ${words[1]}, ${thrown} thrown, slowest ${Math.round(slowest)} ms`,
    ok: !thrown && slowest < HANG
  };
}
