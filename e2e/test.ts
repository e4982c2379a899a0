import { test as base } from '@playwright/test';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { firstPort, template } from './global-setup.ts';
import { Server } from './server.ts';

/**
 * Playwright's test with a server and a database for each spec file. A file says `test.use({ spec: 'its name' })`: a
 * worker serves one value of a worker option only, so that no two files share a database and files can run side by side.
 */
export const test = base.extend<object, { spec: string; env: Readonly<Record<string, string>>; server: Server }>({
  spec: ['', { option: true, scope: 'worker' }],
  env: [{}, { option: true, scope: 'worker' }],
  server: [
    async ({ spec, env }, use, worker) => {
      if (!spec) throw new Error('This spec has no database of its own: add test.use({ spec: "its name" }).');
      const data = fs.mkdtempSync(path.join(os.tmpdir(), `indaga-e2e-${spec}-`));
      fs.cpSync(template(), data, { recursive: true });
      const server = new Server(firstPort + worker.workerIndex, data, env);
      await server.start();
      await use(server);
      await server.kill();
      fs.rmSync(data, { recursive: true, force: true });
    },
    { scope: 'worker', timeout: 120_000 }
  ],
  baseURL: async ({ server }, use) => use(server.url)
});

export { expect } from '@playwright/test';
