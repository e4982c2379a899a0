// npm run screenshots: one current picture of each main view at 1280x800 from a fresh demo yard, into docs/screenshots/.
import { chromium } from '@playwright/test';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { wholeBrowser } from './browser.mjs';
import { bin, root, run, start } from './tools.mjs';

const port = 4332;
const origin = `http://127.0.0.1:${port}`;
const data = fs.mkdtempSync(path.join(os.tmpdir(), 'indaga-shots-'));
const env = {
  ...process.env,
  INDAGA_DATA: data,
  INDAGA_DEMO: '1',
  PORT: String(port),
  HOST: '127.0.0.1',
  LOG_LEVEL: 'error'
};
run(bin('vite'), ['build', '--logLevel', 'error'], { env });
run(bin('tsx'), ['demo/seed-cli.ts'], { env });
const server = start(process.execPath, ['scripts/server.mjs'], { env });
const views = [
  ['yard', () => '/'],
  ['bench', () => '/bench'],
  ['now-phone', (s) => `${s.Eel}/now`, { width: 390, height: 844, theme: 'night' }],
  ['parts', () => '/parts'],
  ['care', () => '/care'],
  ['tray-phone', (s) => `${s.Knot}/tray`, { width: 390, height: 844 }],
  ['check-compression', (s) => `${s.Gannet}/compression`],
  ['check-gear-oil', (s) => `${s.Plover}/gear`],
  ['first-run', (s) => `${s.Knot}/run`, { scroll: 'run 1' }],
  ['drowned', (s) => `${s.Eel}/drowned`],
  [
    'outings-night',
    (s) => `${s.Fulmar}/jobs`,
    {
      theme: 'night',
      act: async (page) => {
        await page
          .getByRole('navigation', { name: 'This engine' })
          .first()
          .getByRole('link', { name: 'Engine', exact: true })
          .click();
        await page.getByRole('link', { name: 'Outings' }).click();
        await page.getByRole('heading', { name: 'Does it make oil?' }).waitFor();
        await page.waitForTimeout(600);
      }
    }
  ],
  ['suspects', (s) => `${s.Gannet}/suspects`],
  ['procedure-phone', (s) => `${s.Knot}/work/pump-kit`, { width: 390, height: 844, theme: 'night' }],
  ['check-phone', (s) => `${s.Gannet}/compression`, { width: 390, height: 844 }],
  ['job-list', (s) => `${s.Plover}/jobs`],
  ['ready-for-service', (s) => `${s.Dunlin}/ready`],
  [
    'instruments',
    () => '/instruments',
    {
      act: async (page) => {
        await page.getByRole('button', { name: 'Lever: hold to crank' }).focus();
        await page.keyboard.down(' ');
        await page.waitForTimeout(1600);
      }
    }
  ],
  [
    'debrief',
    () => '/practice',
    {
      act: async (page) => {
        await page.getByRole('button', { name: /: One of two$/ }).click();
        await page.waitForURL('**/safe');
        for (const [station, look] of [
          ['safe', /^Make it safe/],
          ['spark', /^Spark, every cylinder/],
          ['compression', /^Leak-down/]
        ]) {
          await page.goto(page.url().replace(/[a-z]+$/, station), { waitUntil: 'load' });
          await page.getByRole('button', { name: look }).first().click();
          await page.getByRole('status').filter({ hasText: 'Last:' }).waitFor();
          await page.waitForTimeout(700);
        }
        await page.goto(page.url().replace(/[a-z]+$/, 'statement'), { waitUntil: 'load' });
        await page.getByLabel('Find', { exact: true }).fill('plug lead');
        await page.getByRole('radiogroup', { name: 'Plug lead or cap, cylinder 1' }).getByText('likely').click();
        await page.getByLabel('What its faults cost in all, cr').fill('40');
        await page.getByRole('button', { name: 'Say it, and see' }).click();
        await page.waitForURL('**/debrief');
        await page.waitForTimeout(500);
      }
    }
  ],
  ['record', (s) => `${s.Curlew}/record`]
];
const browser = await chromium.launch({
  executablePath: wholeBrowser(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking']
});
try {
  for (
    let k = 0;
    k < 100 &&
    !(await fetch(`${origin}/health`).then(
      () => true,
      () => false
    ));
    k++
  )
    await new Promise((r) => setTimeout(r, 100));
  const html = await (await fetch(origin)).text();
  const known = { engine: html.match(/\/engines\/[0-9a-f-]{36}/)[0] };
  for (const m of html.matchAll(/href="(\/surveys\/[0-9a-f-]{36})"[^>]*>([^<]+)</g)) known[m[2].trim()] = m[1];
  for (const [
    name,
    address,
    { theme = 'chart', width = 1280, height = 800, scroll, wait = 'load', act } = {}
  ] of views) {
    const context = await browser.newContext({ viewport: { width, height } });
    await context.addCookies([
      {
        name: 'indaga-prefs',
        value: encodeURIComponent(JSON.stringify({ theme, units: 'us', who: 'Ines' })),
        url: origin
      }
    ]);
    const page = await context.newPage();
    await page.goto(origin + address(known), { waitUntil: wait });
    // The pages of an engine hear from the server all the time: the network is never idle.
    await page.locator('html[data-live]').waitFor({ state: 'attached' });
    await page.waitForTimeout(900);
    if (scroll) {
      await page
        .getByText(scroll, { exact: false })
        .first()
        .evaluate((e) => e.scrollIntoView());
      await page.waitForTimeout(200);
    }
    if (act) await act(page);
    await page.screenshot({ path: path.join(root, 'docs', 'screenshots', `${name}.png`) });
    await context.close();
    console.log(name);
  }
} finally {
  await browser.close();
  server.kill('SIGKILL');
  fs.rmSync(data, { recursive: true, force: true });
}
