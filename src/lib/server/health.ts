import { statfs } from 'node:fs/promises';
import { database, dataDirectory } from './db/open.ts';
import { lastBackup } from './files/scheduled-backup.ts';
import { queues } from './work/pool.ts';

/** Under so much room a write is about to fail, bytes. */
const LOW = 200e6;

export interface Health {
  readonly ok: boolean;
  readonly disk: {
    readonly state: 'has room' | 'nearly full' | 'full' | 'cannot be read';
    readonly freeBytes: number | null;
  };
  readonly database: { readonly answers: boolean };
  readonly backup: { readonly last: string | null };
  readonly queue: ReturnType<typeof queues>;
}

/** How the server is; `ok` while it answers and can write. */
export async function health(): Promise<Health> {
  const room = await statfs(dataDirectory()).catch(() => undefined);
  const free = room && room.bavail * room.bsize;
  let answers = true;
  try {
    database().$client.prepare('select count(*) from engines').get();
  } catch {
    answers = false;
  }
  const state = free === undefined ? 'cannot be read' : free === 0 ? 'full' : free < LOW ? 'nearly full' : 'has room';
  return {
    ok: answers && state !== 'full' && state !== 'cannot be read',
    disk: { state, freeBytes: free ?? null },
    database: { answers },
    backup: { last: lastBackup()?.at ?? null },
    queue: queues()
  };
}
