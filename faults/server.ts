import { spawn, type ChildProcess } from 'node:child_process';

const children = new Set<ChildProcess>();
// Whatever goes wrong here, no server is left behind.
process.on('exit', () => {
  for (const child of children) child.kill('SIGKILL');
});

/** The built application on a data directory, as a process that can be killed. */
export class Running {
  private child: ChildProcess | undefined;
  said = '';
  constructor(
    readonly data: string,
    readonly port: number,
    private readonly env: Readonly<Record<string, string>> = {}
  ) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  get alive(): boolean {
    return this.child !== undefined && this.child.exitCode === null && this.child.signalCode === null;
  }

  async start(): Promise<this> {
    const child = spawn(process.execPath, ['scripts/server.mjs'], {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: {
        ...process.env,
        HOST: '127.0.0.1',
        PORT: String(this.port),
        INDAGA_DATA: this.data,
        LOG_LEVEL: 'fatal',
        ...this.env
      }
    });
    this.child = child;
    children.add(child);
    for (const out of [child.stdout, child.stderr]) out.on('data', (d: Buffer) => (this.said += d.toString()));
    for (let k = 0; k < 300; k++) {
      if (!this.alive) throw new Error(`it ended: ${this.said}`);
      if (this.said.includes('listens on')) return this;
      await new Promise((r) => setTimeout(r, 100));
    }
    throw new Error('it does not answer');
  }

  async kill(signal: 'SIGKILL' | 'SIGTERM' = 'SIGKILL'): Promise<void> {
    if (!this.alive || !this.child) return;
    const ended = new Promise((r) => this.child!.once('exit', r));
    this.child.kill(signal);
    await ended;
  }

  post(surveyId: string, body: unknown): Promise<Response> {
    return fetch(`${this.url}/api/surveys/${surveyId}/entries`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body)
    });
  }
}
