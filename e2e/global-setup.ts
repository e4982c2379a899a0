import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** Each worker takes the next port after this one. */
export const firstPort = Number(process.env.E2E_PORT ?? 4319);

/** The directory of the seeded demo yard that every spec gets a copy of. */
export const template = (): string => {
  const directory = process.env.E2E_TEMPLATE;
  if (!directory) throw new Error('The demo yard was not seeded: the global setup did not run.');
  return directory;
};

/** Seeds the demo yard once. */
export default function setup(): () => void {
  const directory = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-e2e-template-'));
  process.env.E2E_TEMPLATE = directory;
  const seeded = spawnSync('node_modules/.bin/tsx', ['demo/seed-cli.ts'], {
    stdio: ['ignore', 'ignore', 'inherit'],
    shell: process.platform === 'win32',
    env: { ...process.env, INDAGA_DATA: directory, INDAGA_DEMO: '1' }
  });
  if (seeded.status !== 0) throw new Error('The demo yard could not be seeded.');
  return () => fs.rmSync(directory, { recursive: true, force: true });
}
