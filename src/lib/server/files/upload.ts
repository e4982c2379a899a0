import { createWriteStream } from 'node:fs';
import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream } from 'node:stream/web';

/** Lays an uploaded file on the disk for as long as it is worked on: an archive is read from there, not held in memory twice. */
export async function withUpload<T>(file: File, work: (path: string) => Promise<T>): Promise<T> {
  const folder = await fs.mkdtemp(path.join(os.tmpdir(), 'indaga-upload-'));
  try {
    const at = path.join(folder, 'upload');
    await pipeline(Readable.fromWeb(file.stream() as ReadableStream), createWriteStream(at));
    return await work(at);
  } finally {
    await fs.rm(folder, { recursive: true, force: true });
  }
}
