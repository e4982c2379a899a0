import { spawn, type ChildProcess } from 'node:child_process';

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
  kill(): Promise<void> {
    return this.end('SIGKILL');
  }

  /** Ends the process as its service does: what is open is closed first. */
  stop(): Promise<void> {
    return this.end('SIGTERM');
  }

  private async end(signal: NodeJS.Signals): Promise<void> {
    const { process } = this;
    if (!process || process.exitCode !== null) return;
    const ended = new Promise((resolve) => process.once('exit', resolve));
    process.kill(signal);
    await ended;
  }
}
