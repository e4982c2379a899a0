import { defineConfig } from '@playwright/test';
import { testBrowser } from './scripts/browser.mjs';

// What the runner switches off by itself: Chromium takes the last list only.
const runnersOwn = [
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsUpgrades',
  'HttpsFirstBalancedModeAutoEnable',
  'LensOverlay',
  'MediaRouter',
  'PaintHolding',
  'ThirdPartyStoragePartitioning',
  'OptimizationHints',
  'NetworkTimeServiceQuerying',
  'AimEnabled',
  'PreconnectToSearch'
];
// The suggestions under the address bar are two pages of their own behind every page that is opened.
const addressBar = ['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup', 'WebUIOmniboxFullPopup'];

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/global-setup.ts',
  forbidOnly: true,
  // A bound for what hangs, not a measure of speed: the slowest machine here takes four times as long as the fastest.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  // Every spec has a server and a database of its own (e2e/test.ts), so files run side by side.
  workers: Number(process.env.E2E_WORKERS ?? 3),
  fullyParallel: false,
  retries: 0,
  reporter: [['list']],
  use: {
    // One spec is about the copies a device keeps; everywhere else the server is what is tested.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // A trace doubles the time of every action; E2E_TRACE=on when one is wanted.
    trace: process.env.E2E_TRACE === 'on' ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: testBrowser(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        `--disable-features=${[...runnersOwn, ...addressBar].join(',')}`
      ]
    }
  }
});
