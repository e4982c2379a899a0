import { test as base } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { firstPort, template } from './global-setup.ts';

/** The built application on a copy of the demo yard that belongs to one spec file. */
export class Server {
  private process: ChildProcess | undefined;

  constructor(
    private readonly port: number,
    private readonly data: string,
    private readonly env: Readonly<Record<string, string>> = {}
  ) {}

  /** What it has printed so far. */
  printed = '';

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts the process and waits until it answers. */
  async start(): Promise<void> {
    this.process = spawn(process.execPath, ['scripts/server.mjs'], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: {
        ...process.env,
        PORT: String(this.port),
        HOST: '127.0.0.1',
        INDAGA_DATA: this.data,
        INDAGA_DEMO: '1',
        INDAGA_INSTRUMENTS: `udp:127.0.0.1:${this.port + 6000},tcp:127.0.0.1:${this.port + 6000}`,
        LOG_LEVEL: 'error',
        ...this.env
      }
    });
    this.process.stdout?.on('data', (chunk: Buffer) => (this.printed += chunk.toString()));
    for (;;) {
      if (this.process.exitCode !== null) throw new Error(`The server of port ${this.port} ended while it started.`);
      const answers = await fetch(`${this.url}/health`).then(
        (r) => r.ok,
        () => false
      );
      if (answers) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }

  /** Ends the process as a power cut would. */
  async kill(): Promise<void> {
    const { process } = this;
    if (!process || process.exitCode !== null) return;
    const ended = new Promise((resolve) => process.once('exit', resolve));
    process.kill('SIGKILL');
    await ended;
  }
}

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
