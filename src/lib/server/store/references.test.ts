import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { openDatabase } from '../db/open.ts';
import { createEngine } from './engines.ts';
import { earlierOf, referencesFor } from './references.ts';
import { appendEntry, createSurvey } from './surveys.ts';

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-references-'));
const db = openDatabase(folder);
afterAll(() => {
  db.$client.close();
  fs.rmSync(folder, { recursive: true, force: true });
});

const engine = (side: 'port' | 'starboard'): string =>
  createEngine(
    [
      { path: 'identity.boat', value: 'SG 1' },
      { path: 'profile.cylinders', value: 2 },
      { path: 'profile.installation', value: side }
    ],
    '',
    { db }
  );
const read = (engineId: string, at: string, pa: number): string => {
  const id = createSurvey(engineId, 'neglected', '', { db, now: new Date(at) });
  appendEntry(
    id,
    { type: 'reading', body: { id: `r-${id}`, at, what: 'compression.pressure', value: pa, cylinder: 1 } },
    { db }
  );
  return id;
};

describe('what compression is compared with', () => {
  it('is the last time this engine was read, and its sister of the same boat', () => {
    const [port, starboard] = [engine('port'), engine('starboard')];
    read(port, '2025-03-01T08:00:00.000Z', 7e5);
    read(port, '2025-10-01T08:00:00.000Z', 8e5);
    const now = read(port, '2026-04-01T08:00:00.000Z', 7.5e5);
    expect(referencesFor(now, { db }).map((r) => r.label)).toEqual(['last time, 2025-10-01']);
    read(starboard, '2026-04-02T08:00:00.000Z', 7.7e5);
    expect(referencesFor(now, { db }).map((r) => [r.label, r.rows[0]!.mean])).toEqual([
      ['last time, 2025-10-01', 8e5],
      ['sister engine', 7.7e5]
    ]);
  });
  it('is nothing for an engine on its own, or an assessment that is not there', () => {
    expect(referencesFor('no-such-id', { db })).toEqual([]);
  });
});

describe('what a stream and a magnet are compared with', () => {
  it('last time’s of this engine and the sister’s stream; nothing where nobody looked', () => {
    const boat = (side: 'port' | 'starboard'): string =>
      createEngine(
        [
          { path: 'identity.boat', value: 'SG 2' },
          { path: 'profile.installation', value: side }
        ],
        '',
        { db }
      );
    const [port, starboard] = [boat('port'), boat('starboard')];
    const look = (
      engineId: string,
      at: string,
      what: 'cooling.bucket' | 'gear.magnetPhoto',
      value: unknown
    ): string => {
      const id = createSurvey(engineId, 'neglected', '', { db, now: new Date(at) });
      appendEntry(id, { type: 'reading', body: { id: `${what}-${id}`, at, what, value } }, { db });
      return id;
    };
    look(port, '2024-03-01T08:00:00.000Z', 'cooling.bucket', 3e-5);
    look(port, '2025-03-01T08:00:00.000Z', 'gear.magnetPhoto', 'b'.repeat(64));
    look(starboard, '2026-03-01T08:00:00.000Z', 'cooling.bucket', 2e-5);
    const now = createSurvey(port, 'neglected', '', { db, now: new Date('2026-04-01T08:00:00.000Z') });
    expect(earlierOf(now, { db })).toEqual({
      flows: [
        { label: 'last time, 2024-03-01', flow: 3e-5 },
        { label: 'sister engine', flow: 2e-5 }
      ],
      magnets: [{ label: 'last time, 2025-03-01', photo: 'b'.repeat(64) }]
    });
    expect(earlierOf('no such assessment', { db })).toEqual({ flows: [], magnets: [] });
  });
});
