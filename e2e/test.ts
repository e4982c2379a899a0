import { test as base } from '@playwright/test';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { firstPort, template } from './global-setup.ts';
import { Server } from './server.ts';

type Env = Readonly<Record<string, string>>;

/** The server of the spec file that a worker is at: the next file gets another, on a database of its own. */
class Servers {
  private running: { readonly spec: string; readonly data: string; readonly server: Server } | undefined;

  constructor(private readonly port: number) {}

  async of(spec: string, env: Env): Promise<Server> {
    if (this.running?.spec === spec) return this.running.server;
    await this.end();
    const data = fs.mkdtempSync(path.join(os.tmpdir(), `indaga-e2e-${spec}-`));
    fs.cpSync(template(), data, { recursive: true });
    const server = new Server(this.port, data, env);
    this.running = { spec, data, server };
    await server.start();
    return server;
  }

  async end(): Promise<void> {
    if (!this.running) return;
    const { server, data } = this.running;
    this.running = undefined;
    await server.kill();
    fs.rmSync(data, { recursive: true, force: true });
  }
}

/**
 * Playwright's test with a server and a database for each spec file. A file says `test.use({ spec: 'its name' })`, so that no two
 * files share a database and files can run side by side. Runner and browser of a worker stay from file to file: starting them
 * anew for each took a tenth of the whole.
 */
export const test = base.extend<{ spec: string; env: Env; server: Server }, { servers: Servers }>({
  spec: ['', { option: true }],
  env: [{}, { option: true }],
  servers: [
    async ({ playwright: _ }, use, worker) => {
      const servers = new Servers(firstPort + worker.workerIndex);
      await use(servers);
      await servers.end();
    },
    { scope: 'worker', timeout: 120_000 }
  ],
  server: [
    async ({ servers, spec, env }, use) => {
      if (!spec) throw new Error('This spec has no database of its own: add test.use({ spec: "its name" }).');
      await use(await servers.of(spec, env));
    },
    { timeout: 120_000 }
  ],
  baseURL: async ({ server }, use) => use(server.url)
});

export { expect } from '@playwright/test';
