import { defineConfig } from '@playwright/test';

const port = Number(process.env.E2E_PORT ?? 4319);

export default defineConfig({
  testDir: 'e2e',
  // A bound for what hangs, not a measure of speed: the slowest machine here takes four times as long as the fastest.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  workers: 1,
  retries: 0,
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // A trace doubles the time of every action; E2E_TRACE=on when one is wanted.
    trace: process.env.E2E_TRACE === 'on' ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking']
    }
  },
  webServer: {
    command: 'node scripts/e2e-server.mjs',
    url: `http://127.0.0.1:${port}/`,
    env: { PORT: String(port), HOST: '127.0.0.1' },
    reuseExistingServer: false,
    timeout: 120_000
  }
});
